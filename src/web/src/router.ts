import { createRouter } from 'sv-router';
import Client from './routes/Client.svelte';
import NotFound from './routes/NotFound.svelte';
import Roster from './routes/Roster.svelte';

export const { p, navigate, isActive, route } = createRouter({
  '/': Roster,
  '/approaches': () => import('./routes/Approaches.svelte'),
  '/came-in': () => import('./routes/CameIn.svelte'),
  '/catalogue': () => import('./routes/Catalogue.svelte'),
  '/check': () => import('./routes/PlanCheck.svelte'),
  '/clients/:id': Client,
  '/clients/:id/kit': () => import('./routes/Kit.svelte'),
  '/clients/:id/program': () => import('./routes/Program.svelte'),
  '/clients/:id/trends': () => import('./routes/Trends.svelte'),
  '/clients/:id/workbench': () => import('./routes/Workbench.svelte'),
  '/outbox': () => import('./routes/Outbox.svelte'),
  '/plans/:id/block': () => import('./routes/Block.svelte'),
  '/plans/:id/handout': () => import('./routes/Handout.svelte'),
  '/plans/:id/log': () => import('./routes/Log.svelte'),
  '*': NotFound,
});
