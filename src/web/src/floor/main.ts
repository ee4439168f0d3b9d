import { mount } from 'svelte';
import './floor.css';
import Floor from './Floor.svelte';
import { secretIn } from './keep/secret';
import { Store } from './keep/store';

/**
 * The secret of the address counts before the one that is kept: another link was opened. It stays in the address, for a page that is put
 * on a home screen may have a store of its own and has nothing but its address then.
 */
async function open(): Promise<void> {
  const target = document.getElementById('app');
  if (!target) throw new Error('The page has no place for the application.');
  document.documentElement.dataset.theme = matchMedia('(prefers-color-scheme: dark)').matches
    ? 'slate'
    : 'paper';
  const store = await Store.open();
  const [given, kept] = [secretIn(location.hash), await store.secret()];
  if (given !== null && given !== kept) {
    await store.forget();
    await store.put('secret', given);
  }

  mount(Floor, { target, props: { store, secret: given ?? kept } });
  if (import.meta.env.PROD && 'serviceWorker' in navigator)
    await navigator.serviceWorker.register('/s/sw.js', { scope: '/s/' });
  await navigator.storage?.persist?.();
}

void open();
