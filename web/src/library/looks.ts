import type { Way } from '../ui/MessageFrame.svelte';

/** The ways to look at a design. */
export const LOOKS: readonly Way[] = ['wide', 'tablet', 'phone', 'plain'];
