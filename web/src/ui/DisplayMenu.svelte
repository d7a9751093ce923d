<script lang="ts">
  // How everything is shown on this device.
  import { Moon, Sun } from '@lucide/svelte';
  import { dialect } from './dialect.svelte';
  import { display, type Hand, type TextSize } from './display.svelte';
  import Menu from './Menu.svelte';
  import type { MenuGroup } from './menu';
  import type { Numbers, Words } from './say';

  const SIZES: { key: TextSize; name: string }[] = [
    { key: 'usual', name: 'Usual' },
    { key: 'large', name: 'Large' },
    { key: 'largest', name: 'Very large' },
  ];
  const HANDS: { key: Hand; name: string }[] = [
    { key: 'right', name: 'Right-handed' },
    { key: 'left', name: 'Left-handed' },
  ];
  const WORDS: { key: Words; name: string }[] = [
    { key: 'british', name: 'British' },
    { key: 'american', name: 'American' },
  ];
  const NUMBERS: { key: Numbers; name: string }[] = [
    { key: 'point', name: 'With a decimal point' },
    { key: 'comma', name: 'With a decimal comma' },
  ];
  let groups = $derived<MenuGroup[]>([
    {
      title: 'Colours',
      items: [
        { key: 'light', name: 'Light', here: !display.dark, pick: () => display.darken(false) },
        { key: 'dark', name: 'Dark', here: display.dark, pick: () => display.darken(true) },
      ],
    },
    {
      title: 'Text',
      items: SIZES.map((size) => ({
        ...size,
        here: size.key === display.text,
        pick: () => display.size(size.key),
      })),
    },
    {
      title: 'At the machine',
      items: HANDS.map((hand) => ({
        ...hand,
        here: hand.key === display.hand,
        pick: () => display.lead(hand.key),
      })),
    },
    {
      title: 'Practice',
      items: [
        { key: 'offered', name: 'Offered', here: display.rehearse, pick: () => display.offer(true) },
        {
          key: 'not-offered',
          name: 'Not offered',
          here: !display.rehearse,
          pick: () => display.offer(false),
        },
      ],
    },
    {
      title: 'Words',
      items: WORDS.map((words) => ({
        ...words,
        here: words.key === dialect.words,
        pick: () => dialect.speak(words.key, dialect.numbers),
      })),
    },
    {
      title: 'Numbers',
      items: NUMBERS.map((numbers) => ({
        ...numbers,
        here: numbers.key === dialect.numbers,
        pick: () => dialect.speak(dialect.words, numbers.key),
      })),
    },
  ]);
</script>

<Menu label="Display" {groups} narrow>
  {#snippet trigger()}{#if display.dark}<Moon size={18} />{:else}<Sun size={18} />{/if}{/snippet}
</Menu>
