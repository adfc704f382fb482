<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A view: its name and actions above, what it shows, and a line at its foot. */
  let {
    title,
    crumb = '',
    heading,
    actions,
    foot,
    children,
  }: {
    title: string;
    crumb?: string;
    heading?: Snippet;
    actions?: Snippet;
    foot?: Snippet;
    children: Snippet;
  } = $props();

  $effect(() => {
    document.title = `${title} · Famulus`;
  });
</script>

<div class="page" class:footed={foot}>
  <header>
    {#if heading}{@render heading()}{:else}<h1>{title}</h1>{/if}
    {#if crumb}<span class="crumb">{crumb}</span>{/if}
    {#if actions}<div class="actions">{@render actions()}</div>{/if}
  </header>
  <main>{@render children()}</main>
  {#if foot}<footer>{@render foot()}</footer>{/if}
</div>

<style>
  .page {
    display: grid;
    grid-template: 52px minmax(0, 1fr) / minmax(0, 1fr);
    height: 100%;
  }

  .page.footed {
    grid-template-rows: 52px minmax(0, 1fr) 28px;
  }

  header {
    display: flex;
    align-items: center;
    gap: 14px;
    padding: 0 20px;
    border-bottom: 1px solid var(--rule);
    white-space: nowrap;
  }

  h1 {
    font: 500 21px/1.2 var(--serif);
  }

  .crumb {
    min-width: 0;
    overflow: hidden;
    color: var(--ink-soft);
    font-size: 13px;
    text-overflow: ellipsis;
  }

  .actions {
    display: flex;
    align-items: center;
    gap: 10px;
    margin-left: auto;
  }

  main {
    min-height: 0;
    overflow: auto;
  }

  footer {
    display: flex;
    align-items: center;
    gap: 18px;
    padding: 0 20px;
    border-top: 1px solid var(--rule);
    color: var(--ink-soft);
    font-size: 12.5px;
    white-space: nowrap;
    overflow: hidden;
  }

  @media print {
    .page,
    .page.footed {
      display: block;
      height: auto;
    }

    .actions,
    footer {
      display: none;
    }

    main {
      overflow: visible;
    }
  }

  @media (width <= 700px) {
    .page,
    .page.footed {
      grid-template-rows: auto minmax(0, 1fr);
    }

    header {
      flex-wrap: wrap;
      gap: 4px 12px;
      padding: 8px 14px;
      white-space: normal;
    }

    .crumb {
      white-space: normal;
    }

    footer {
      display: none;
    }
  }
</style>
