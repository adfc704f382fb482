<script lang="ts">
  import SmallInput from '../../ui/SmallInput.svelte';
  import type { Schemas } from '../../api/client';
  import Button from '../../ui/Button.svelte';
  import { CARDS, cardOf } from './cardOf';
  import Choose from '../../ui/Choose.svelte';
  import Slip from '../../ui/Slip.svelte';
  import type { FoundField } from '../finding';
  import type { About } from '../../library/about';
  import { blockOf, type Block, type Look } from './body';
  import type { Composing } from './composing.svelte';
  import FeedPick from './FeedPick.svelte';
  import ItemColumns from './ItemColumns.svelte';
  import LinkPick from './LinkPick.svelte';
  import LookFields from './LookFields.svelte';
  import PartWays from './PartWays.svelte';
  import PassagePick from './PassagePick.svelte';
  import PicturePick from './PicturePick.svelte';
  import RetouchFields from './RetouchFields.svelte';
  import type { Retouching } from './retouching';

  /** The settings of one block, live in draft and proof. */
  let {
    composing,
    id,
    anchor,
    about,
    fields,
    inside,
    file,
    onclose,
  }: {
    composing: Composing;
    id: string;
    anchor: HTMLElement;
    about: About;
    fields: FoundField[];
    /** What a passage says. */
    inside?: Schemas['ShownInside'];
    /** A picture that was dropped on the block. */
    file?: File;
    onclose: () => void;
  } = $props();

  const ALIGNS = [
    ['start', 'left'],
    ['centre', 'middle'],
    ['end', 'right'],
  ] as const;
  interface SocialLink {
    label: string;
    address: string;
    icon?: string;
  }
  const ICONS = [
    ['none', 'nothing'],
    ['person', 'a person'],
    ['people', 'several people'],
    ['picture', 'a picture'],
    ['film', 'a film'],
    ['page', 'a page'],
    ['share', 'an arrow, to share something'],
  ] as const;
  const block = $derived(blockOf(composing.body, id));
  const editable = $derived(composing.editable);
  let boxed = $state(false);
  /** Whether cutting and colouring is shown: it is as soon as there is any. */
  let retouched = $state(false);
  let moving = $state<string[]>([]);

  function put(part: Partial<Block>) {
    composing.change(id, part, true);
  }

  function number(text: string, least: number, most: number): number {
    return Math.min(Math.max(Math.round(Number(text)) || least, least), most);
  }

  /** The picture of a block; a description that was empty is taken from Materials. */
  function choose(picture: Schemas['Picture']) {
    const held = (block!.kind === 'pairing' ? block!.picture : block) as Record<string, unknown>;
    const part = {
      picture: picture.id,
      ...(held.description === undefined || held.description ? {} : { description: picture.description }),
    };
    put(block!.kind === 'pairing' ? { picture: { ...held, ...part } } : part);
  }

  /** What holds the picture: the block itself, or the picture in it. */
  function holding(one: Block): { picture?: string; retouching?: Retouching } {
    return (one.kind === 'pairing' ? (one.picture ?? {}) : one) as {
      picture?: string;
      retouching?: Retouching;
    };
  }

  function retouch(retouching: Retouching | undefined) {
    if (block!.kind === 'pairing') put({ picture: { ...(block!.picture as object), retouching } });
    else put({ retouching });
  }

  /** Where a block leads; null for one that leads nowhere. */
  function linkOf(one: Block): string | null {
    if (one.kind === 'pairing') return String((one.picture as { link?: string })?.link ?? '');
    if (one.kind === 'video still') return String(one.address ?? '');
    return one.kind === 'button' || one.kind === 'picture' ? String(one.link ?? '') : null;
  }

  function leadTo(link: string) {
    if (block!.kind === 'pairing') put({ picture: { ...(block!.picture as object), link } });
    else put({ [block!.kind === 'video still' ? 'address' : 'link']: link });
  }

  function draw(at: number, icon: string) {
    const links = block!.links as SocialLink[];
    const drawn = { ...links[at], icon: icon === 'none' ? undefined : icon };
    put({ links: links.with(at, drawn) });
  }

  /** A card about a record begins with its details; one about nothing keeps the lines it has. */
  function becomeAbout(picture: string) {
    const { title, facts } = cardOf(picture) ?? { title: block!.title, facts: block!.facts };
    put({ picture, title, facts });
  }

  function shareToo() {
    const share = { label: 'Pass it on', address: 'mailto:?body={message.share_link}', icon: 'share' };
    put({
      links: [...((block!.links ?? []) as SocialLink[]).filter((one) => one.label || one.address), share],
    });
  }

  function without(name: 'facts' | 'links', at: number) {
    put({ [name]: (block![name] as unknown[]).toSpliced(at, 1) });
  }
</script>

{#snippet figure(label: string, name: string, usual: number, least: number, most: number)}
  <label class="figure">
    <span>{label}</span>
    <SmallInput
      wide={92}
      type="number"
      min={least}
      max={most}
      value={Number(block![name] ?? usual)}
      onchange={(event) => put({ [name]: number(event.currentTarget.value, least, most) })}
    />
  </label>
{/snippet}

{#snippet colour(label: string, name: string)}
  <label class="figure">
    <span>{label}</span>
    <SmallInput
      type="color"
      value={String(block![name] || '#1c6b60')}
      onchange={(event) => put({ [name]: event.currentTarget.value })}
    />
    {#if block![name]}<Button quiet onclick={() => put({ [name]: '' })}>the style’s</Button>{/if}
  </label>
{/snippet}

{#snippet retouching()}
  {@const held = holding(block!)}
  {#if held.picture && moving.includes(held.picture)}
    <p class="remark">This picture is animated. Cropping or tinting would stop its motion.</p>
  {:else if held.picture && (retouched || held.retouching)}
    <RetouchFields picture={held.picture} retouching={held.retouching ?? {}} onchange={retouch} />
  {:else if held.picture}
    <p class="remark"><Button quiet onclick={() => (retouched = true)}>Crop, brighten, tint</Button></p>
  {/if}
{/snippet}

{#snippet align()}
  <Choose
    label="Alignment"
    value={String(block!.align ?? 'start')}
    options={ALIGNS}
    onchange={(code) => put({ align: code })}
  />
{/snippet}

{#if block}
  <Slip title={composing.called(id)} {anchor} placement="bottom-start" wide {onclose}>
    {#if block.kind === 'passage'}
      <PassagePick
        chosen={String(block.passage ?? '')}
        {editable}
        onchoose={(passage) => put({ passage })}
        ondetach={inside && (() => composing.detach(id, inside.design))}
      />
    {/if}
    <fieldset disabled={!editable}>
      {#if block.kind === 'record card'}
        <Choose
          label="It is about"
          value={cardOf(block.picture)?.picture ?? ''}
          options={[
            ['', 'what you write, with a picture from Materials'],
            ...CARDS.map((one): [string, string] => [one.picture, one.label]),
          ]}
          onchange={becomeAbout}
        />
        <p class="remark">The card takes the picture on that record’s page, and begins with its details.</p>
      {/if}
      {#if block.kind === 'picture' || block.kind === 'video still' || (block.kind === 'record card' && !cardOf(block.picture))}
        <PicturePick chosen={String(block.picture ?? '')} {file} onchoose={choose} bind:moving />
        {#if block.picture && block.kind !== 'picture'}
          <Button quiet onclick={() => put({ picture: '' })}>Without a picture</Button>
        {/if}
        {#if block.kind !== 'record card'}
          {@render figure('width in pixels', 'width', block.kind === 'picture' ? 240 : 480, 8, 900)}
        {/if}
        {#if block.kind === 'picture'}
          {@render align()}
          {@render retouching()}
        {/if}
      {:else if block.kind === 'pairing'}
        {@const held = block.picture as { picture?: string }}
        <PicturePick chosen={held?.picture ?? ''} {file} onchoose={choose} bind:moving />
        {@render retouching()}
        <Choose
          label="Position of the picture"
          value={block.pictureRight ? 'right' : 'left'}
          options={[
            ['left', 'left of the text'],
            ['right', 'right of the text'],
          ]}
          onchange={(code) => put({ pictureRight: code === 'right' })}
        />
        {@render figure('its part of the width, in per cent', 'share', 40, 10, 90)}
      {:else if block.kind === 'button'}
        {@render align()}
        {@render colour('background', 'background')}
        {@render colour('its words', 'colour')}
      {:else if block.kind === 'divider'}
        {@render figure('thickness in pixels', 'thickness', 1, 1, 12)}
        {@render colour('colour', 'colour')}
      {:else if block.kind === 'spacer'}
        {@render figure('height in pixels', 'height', 16, 1, 200)}
      {:else if block.kind === 'item table'}
        <ItemColumns
          columns={(block.columns as { is: string }[] | undefined) ?? []}
          onchange={(columns) => put({ columns })}
        />
        <label class="tick">
          <input
            type="checkbox"
            checked={block.totals === true}
            onchange={(event) => put({ totals: event.currentTarget.checked })}
          /> sums below: tax by rate, and the total
        </label>
      {:else if block.kind === 'event'}
        <label class="figure">
          <span>begins at</span>
          <SmallInput
            wide={92}
            type="time"
            value={String(block.time ?? '')}
            onchange={(event) => put({ time: event.currentTarget.value || undefined })}
          />
          <small>empty: the whole day</small>
        </label>
        {@render figure('takes, in minutes', 'minutes', 60, 1, 10_080)}
        <label class="figure">
          <span>time zone of the place</span>
          <SmallInput
            wide={190}
            placeholder="where the person is"
            value={String(block.zone ?? '')}
            onchange={(event) => put({ zone: event.currentTarget.value.trim() })}
          />
        </label>
      {:else if block.kind === 'feed'}
        <FeedPick chosen={String(block.feed ?? '')} onchoose={(feed) => put({ feed })} />
        {@render figure('entries at most', 'most', 3, 1, 10)}
        <label class="tick">
          <input
            type="checkbox"
            checked={block.summaries === true}
            onchange={(event) => put({ summaries: event.currentTarget.checked || undefined })}
          /> with what each is about
        </label>
      {:else if block.kind === 'social links'}
        {@render align()}
      {/if}
      {#if linkOf(block) !== null}
        <LinkPick link={linkOf(block)!} onchoose={leadTo} />
      {/if}
      {#if block.kind === 'social links'}
        <p class="remark">
          <Button quiet onclick={shareToo}>Add a link to share it</Button>
          It begins an e-mail with a link to a page for anybody: values of your reader are replaced by the defaults
          of the fields.
        </p>
        {#each block.links as SocialLink[] as one, at (at)}
          <Choose
            label="Drawn before “{one.label || 'a link'}”"
            value={one.icon ?? 'none'}
            options={ICONS}
            onchange={(icon) => draw(at, icon)}
          />
        {/each}
      {/if}
      {#each (block.kind === 'record card' ? block.facts : block.kind === 'social links' ? block.links : []) as unknown[] as fact, at (at)}
        <p class="one">
          <span>{typeof fact === 'string' ? fact : (fact as { label: string }).label || 'a link'}</span>
          <Button quiet onclick={() => without(block!.kind === 'record card' ? 'facts' : 'links', at)}
            >Remove</Button
          >
        </p>
      {/each}
      {#if boxed}
        <LookFields
          look={block.look ?? {}}
          onchange={(look: Look) => put({ look: Object.keys(look).length ? look : undefined })}
        />
      {/if}
      <label class="tick">
        <input
          type="checkbox"
          checked={block.hiddenOnSmall === true}
          onchange={(event) => put({ hiddenOnSmall: event.currentTarget.checked || undefined })}
        /> not on small screens
      </label>
    </fieldset>
    <PartWays
      {composing}
      {id}
      shownWhen={block.shownWhen ?? ''}
      what="block"
      {about}
      {fields}
      more={boxed ? '' : 'Space, background, border'}
      onmore={() => (boxed = true)}
    />
  </Slip>
{/if}

<style>
  fieldset {
    min-width: 0;
    margin: 0;
    padding: 0;
    border: 0;
  }

  .figure {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 8px;
    align-items: center;
    margin-bottom: 6px;
  }

  .figure span {
    min-width: 150px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  small {
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .tick {
    display: flex;
    gap: 6px;
    align-items: center;
    min-height: 26px;
  }

  .remark {
    margin: 0 0 6px -6px;
    color: var(--ink-soft);
    font-size: 12.5px;
  }

  .one {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    border-bottom: 1px solid var(--rule-soft);
  }

  .one span {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
