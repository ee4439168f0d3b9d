import { mount } from 'svelte';
import './client-app.css';
import ClientApp from './ClientApp.svelte';
import { coachLooksOn } from './keep/preview';
import { Phone } from './keep/phone';
import { secretIn } from './keep/secret';
import { PassingStore, Store } from './keep/store';

/**
 * The secret of the address counts before the one that was opened last. It stays in the address, for a page that is put on a home screen
 * may have a store of its own and has nothing but its address then. Nothing that is kept under another link goes because of it.
 */
async function open(): Promise<void> {
  const target = document.getElementById('app');
  if (!target) throw new Error('The page has no place for the application.');
  document.documentElement.dataset.theme = matchMedia('(prefers-color-scheme: dark)').matches
    ? 'slate'
    : 'paper';
  // Another link that is opened in this tab changes what stands behind the # alone.
  const given = secretIn(location.hash);
  addEventListener('hashchange', () => {
    if (secretIn(location.hash) !== given) location.reload();
  });
  const phone = await Phone.open();
  const secret = given ?? (await phone.last());
  const preview = given !== null && !(await phone.knows(given)) && (await coachLooksOn());
  if (secret !== null && !preview) await phone.use(secret);
  const store = secret !== null && !preview ? await Store.open(secret) : new PassingStore();
  mount(ClientApp, { target, props: { phone, store, secret, preview } });
  if (preview) return;
  if (import.meta.env.PROD && 'serviceWorker' in navigator)
    await navigator.serviceWorker.register('/s/sw.js', { scope: '/s/' });
  await navigator.storage?.persist?.();
}

void open();
