// What can go wrong, drawn: a hole on its fabric, and in red what is the matter. By the key of the mishap.
import type { Drawing } from './drawing';

const FABRIC = 'M6 12H90V60H6Z';
const FOOT = ['M26 22H70V30H26Z', 'M44 2H52V22H44Z'];
/** A hole from end to end: two sides and its ends; the second side may be begun only. */
const hole = (from: number, to: number, y = 38, half = false): string[] => [
  `M${from} ${y - 5}H${to}`,
  half ? `M${to - 8} ${y + 5}H${to}` : `M${from} ${y + 5}H${to}`,
  `M${from} ${y - 8}V${y + 8}`,
  ...(half ? [] : [`M${to} ${y - 8}V${y + 8}`]),
];
const slit = (from: number, to: number, y = 38): string => `M${from} ${y}H${to}`;
const ruler = (from: number, to: number, y: number): string =>
  `M${from} ${y - 4}V${y + 4}M${from} ${y}H${to}M${to} ${y - 4}V${y + 4}`;
const dashes = (from: number, to: number, y: number): string =>
  Array.from({ length: Math.floor((to - from) / 8) }, (_, index) => `M${from + index * 8} ${y}h4`).join('');
const BUTTON = 'M48 24A14 14 0 1 1 47.9 24Z';
const BOBBIN = ['M66 10A12 12 0 1 1 65.9 10Z', 'M66 19A3 3 0 1 1 65.9 19Z'];

export const MISHAPS: Record<string, Drawing> = {
  lost_under_foot: {
    fill: [FABRIC, ...FOOT],
    thread: hole(20, 46, 46, true),
    red: ['M82 28V8M76 14L82 8L88 14'],
  },
  lost_out: {
    fill: ['M4 24L80 10L90 52L14 66Z'],
    thread: ['M26 38L48 34M28 47L34 46M24 36L29 50'],
    red: ['M60 38H86M80 32L86 38L80 44'],
  },
  mid_programme: {
    fill: [FABRIC],
    thread: ['M48 33H76', 'M76 30V46', 'M60 43H76'],
    red: ['M48 24A9 9 0 1 1 47.9 24Z', 'M20 33H36'],
  },
  mid_cycle: {
    fill: [FABRIC, 'M66 4H73V26H66Z'],
    thread: ['M30 43H58', 'M58 40V54', 'M44 52H58'],
    red: ['M84 26V8M79 13L84 8L89 13', 'M30 34A9 9 0 1 1 29.9 34Z'],
  },
  thread_broke: {
    fill: ['M44 2H52V38L48 58L44 38Z'],
    line: ['M48 42V48'],
    thread: ['M48 45C58 42 60 36 62 32', 'M72 22C76 16 80 12 88 10'],
    red: ['M60 22L74 34M74 22L60 34'],
  },
  thread_out: {
    fill: ['M10 8H34V14H10ZM10 40H34V46H10Z', 'M70 14H78V46L74 62L70 46Z'],
    thread: ['M14 14H30V40H14Z', 'M30 20C44 14 46 30 52 44'],
    red: ['M46 48L58 60M58 48L46 60'],
  },
  bobbin_out: {
    fill: [FABRIC, ...BOBBIN],
    thread: hole(16, 46, 42, true),
    red: ['M58 14L74 30M74 14L58 30'],
  },
  bobbin_under: {
    fill: ['M4 30H66V66H4Z', ...BOBBIN],
    thread: hole(14, 40, 48, true),
    red: ['M52 48H86M80 42L86 48L80 54'],
  },
  jammed: {
    fill: ['M6 22H90V34H6Z'],
    line: ['M48 4V22'],
    thread: [
      'M34 36C24 46 44 56 50 44C56 32 30 40 38 52C46 64 64 56 58 44C54 36 44 46 52 58C60 66 72 56 66 42',
    ],
    red: ['M78 44V56M78 62V63'],
  },
  needle_struck: {
    fill: ['M6 52H90V62H6Z', 'M26 40H70V52H26Z', 'M50 2L58 4L54 24L46 22Z'],
    red: ['M48 28L44 36M54 30L60 36M40 26L32 30'],
  },
  tack_goes_on: {
    fill: [FABRIC],
    thread: ['M24 28L28 46L32 28L36 46L40 28L44 46L48 28L52 46L56 28L60 46'],
    red: ['M64 37H84M78 31L84 37L78 43'],
  },
  short_uncut: { fill: [FABRIC], thread: hole(30, 62), red: [ruler(20, 76, 54)] },
  long_uncut: { fill: [FABRIC], thread: hole(14, 82), red: [ruler(24, 70, 54)] },
  short_cut: {
    fill: [FABRIC],
    thread: hole(32, 62),
    line: [slit(34, 60)],
    red: [ruler(22, 76, 54)],
  },
  short_much: {
    fill: [FABRIC, 'M64 24A15 15 0 1 1 63.9 24Z'],
    thread: hole(14, 36),
    line: [slit(16, 34)],
    red: ['M42 39H48'],
  },
  long_cut: {
    fill: [FABRIC, BUTTON],
    thread: hole(12, 84),
    line: [slit(15, 81)],
    red: ['M66 50L84 66M84 56V66H74'],
  },
  tack_cut: { fill: [FABRIC], thread: hole(24, 66), line: [slit(28, 62)], red: [slit(62, 82)] },
  bead_cut: { fill: [FABRIC], thread: hole(22, 74), red: ['M26 38L46 37L60 30L72 32'] },
  place_uncut: {
    fill: [FABRIC],
    thread: hole(24, 72, 46),
    line: [dashes(20, 80, 24)],
    red: ['M86 44V26M82 30L86 25L90 30'],
  },
  place_kept: {
    fill: [FABRIC],
    line: [dashes(20, 80, 24), ...[28, 36, 44, 52, 60, 68].map((x) => `M${x} 41v1M${x} 51v1`)],
    red: ['M86 44V26M82 30L86 25L90 30'],
  },
  tack_place: {
    fill: [FABRIC],
    thread: ['M34 38L38 54L42 38L46 54L50 38L54 54L58 38'],
    line: [dashes(20, 80, 24)],
    red: ['M86 44V26M82 30L86 25L90 30'],
  },
  place_cut: {
    fill: [FABRIC],
    thread: hole(24, 72, 46),
    line: [dashes(20, 80, 24), slit(27, 69, 46)],
    red: ['M86 44V26M82 30L86 25L90 30'],
  },
  place_closed: {
    fill: [FABRIC],
    thread: ['M24 46H72M28 40V52M36 40V52M44 40V52M52 40V52M60 40V52M68 40V52'],
    line: [dashes(20, 80, 24)],
  },
  spilled: {
    fill: [FABRIC, 'M14 4H28V22H14Z'],
    thread: hole(36, 78, 42),
    red: ['M28 12Q44 14 42 24Q52 20 54 30Q60 36 50 38Q38 44 34 34Q26 26 34 22'],
  },
  ink_set: {
    fill: [FABRIC],
    line: [dashes(16, 84, 38)],
    red: ['M48 26Q60 28 58 38Q60 48 48 48Q36 50 38 38Q36 28 48 26Z'],
  },
  stay_wrong: {
    fill: [FABRIC, 'M20 26Q26 8 48 8H64L68 26Z'],
    red: ['M22 42Q48 34 74 44Q70 56 48 54Q26 56 22 42Z'],
  },
  cord_out: { fill: [FABRIC], thread: hole(20, 60), red: ['M60 34C82 24 90 38 82 46C76 52 68 44 60 42'] },
  too_thick: {
    fill: [FABRIC, 'M38 4H58Q66 4 66 12V22Q66 30 58 30H38Q30 30 30 22V12Q30 4 38 4Z'],
    thread: hole(26, 70, 48),
    red: ['M20 4V30M16 8L20 4L24 8M16 26L20 30L24 26'],
  },
  not_level: {
    fill: ['M14 8H48V62H14Z', 'M48 16H82V70H48Z'],
    line: ['M40 18A3 3 0 1 1 39.9 18ZM40 38A3 3 0 1 1 39.9 38Z'],
    red: ['M88 62V70M84 62H92M84 70H92'],
  },
  power_gone: {
    fill: ['M30 28H62V46Q62 58 46 58Q30 58 30 46Z'],
    line: ['M38 28V14M54 28V14', 'M46 58V70'],
    red: ['M70 10L62 26H72L66 40'],
  },
  something_else: { fill: [FABRIC], red: ['M38 28Q38 20 48 20Q58 20 58 29Q58 35 48 39V44', 'M48 52V53'] },
};
