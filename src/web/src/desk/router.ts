import { createRouter } from 'sv-router';
import Client from './screens/Client.svelte';
import NotFound from './screens/NotFound.svelte';
import Roster from './screens/Roster.svelte';

export const { p, navigate, isActive, route } = createRouter({
  '/': Roster,
  '/approaches': () => import('./screens/Approaches.svelte'),
  '/beliefs': () => import('./screens/Beliefs.svelte'),
  '/catalogue': () => import('./screens/Catalogue.svelte'),
  '/check': () => import('./screens/PlanCheck.svelte'),
  '/clients/:id': Client,
  '/clients/:id/kit': () => import('./screens/Kit.svelte'),
  '/clients/:id/program': () => import('./screens/Program.svelte'),
  '/clients/:id/trends': () => import('./screens/Trends.svelte'),
  '/clients/:id/workbench': () => import('./screens/Workbench.svelte'),
  '/inbox': () => import('./screens/Inbox.svelte'),
  // Addresses of before lead on.
  '/came-in': () => import('./screens/Inbox.svelte'),
  '/outbox': () => import('./screens/Outbox.svelte'),
  '/plans/:id/block': () => import('./screens/Block.svelte'),
  '/plans/:id/handout': () => import('./screens/Handout.svelte'),
  '/plans/:id/log': () => import('./screens/Log.svelte'),
  '*': NotFound,
});
