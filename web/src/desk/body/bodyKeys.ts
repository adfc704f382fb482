import type { Shortcut } from '../../app/keys.svelte';
import type { Composing } from './composing.svelte';

/**
 * The keys that put blocks together.
 *
 * @param current the block or band that has the focus
 * @param place where the settings of a block open
 * @param draw opens or closes the blocks to choose from
 */
export function bodyKeys(
  composing: Composing,
  current: () => string | undefined,
  place: (id: string) => HTMLElement | null | undefined,
  draw: () => void,
): Shortcut[] {
  function onCurrent(run: (id: string) => void) {
    const id = current();
    if (id && composing.editable) run(id);
  }

  return [
    { key: 'Alt+a', label: 'Add a block', run: draw, always: true },
    {
      key: 'Alt+ArrowUp',
      label: 'Move the block up',
      run: () => onCurrent((id) => composing.step(id, -1)),
      always: true,
    },
    {
      key: 'Alt+ArrowDown',
      label: 'Move the block down',
      run: () => onCurrent((id) => composing.step(id, 1)),
      always: true,
    },
    {
      key: 'Alt+D',
      label: 'Duplicate the block (Alt+Shift+D)',
      run: () => onCurrent((id) => composing.duplicate(id)),
      always: true,
    },
    {
      key: 'Alt+s',
      label: 'Settings of the block',
      run: () =>
        onCurrent((id) => {
          const anchor = place(id);
          if (anchor) composing.open(id, anchor);
        }),
      always: true,
    },
  ];
}
