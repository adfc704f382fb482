<script lang="ts">
  import { route } from '../app/router';
  import Mailing from './Mailing.svelte';

  /** The mailing of the address: another one is another page. */
  const id = $derived((route.params as { id: string }).id);
</script>

{#key id}<Mailing {id} />{/key}
