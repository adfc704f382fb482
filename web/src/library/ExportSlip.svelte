<script lang="ts">
  import Button from '../ui/Button.svelte';
  import Choose from '../ui/Choose.svelte';
  import Slip from '../ui/Slip.svelte';
  import { exported, formats, type Format } from './exporting';

  /** Takes templates out as files. */
  let {
    which,
    what,
    anchor,
    onclose,
  }: {
    /** What is taken out, as the server is asked for it. */
    which: string[][];
    /** The same in words. */
    what: string;
    anchor: HTMLElement;
    onclose: () => void;
  } = $props();

  let as = $state<Format>('famulus');
  let way = $state<HTMLAnchorElement>();
</script>

<Slip title="Export {what}" {anchor} placement="top-start" {onclose}>
  <Choose
    label="As"
    value={as}
    options={Object.entries(formats).map(([code, one]) => [code, one.name] as const)}
    onchange={(code) => (as = code as Format)}
  />
  <p>{formats[as].says}</p>
  <a bind:this={way} class="unseen" href={exported(which, as)} download tabindex="-1" aria-hidden="true"
    >file</a
  >
  <Button
    main
    onclick={() => {
      way?.click();
      onclose();
    }}>Download</Button
  >
</Slip>

<style>
  p {
    max-width: 340px;
    margin-bottom: 10px;
    color: var(--ink-soft);
    font-size: 13px;
  }
</style>
