<script lang="ts">
  import { crumbs } from '../crumbs.svelte';
  import { p } from '../router';

  crumbs.set({ text: 'Roster', href: '/' }, { text: 'Not found' });
</script>

<main id="main" class="p-8">
  <h1 class="text-2xl">There is nothing at this address</h1>
  <p class="mt-2">It may have been deleted. <a class="link" href={p('/')}>Go to the roster</a>.</p>
</main>
