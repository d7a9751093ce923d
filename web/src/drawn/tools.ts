// The tool of a step, and the thing that is bought for it: each drawn once, by the name of the step.
import type { Drawing } from './drawing';

const NEEDLE: Drawing = {
  fill: ['M44 4H52V40L48 58L44 40Z'],
  line: ['M48 44V50'],
  thread: ['M48 47C60 44 66 24 84 18'],
};
const FOOT: Drawing = {
  fill: ['M24 46H72V54H24Z', 'M44 10H52V46H44Z'],
  line: ['M34 46V54M62 46V54', 'M16 62H80'],
};
const DIAL: Drawing = {
  fill: ['M48 12A26 26 0 1 1 47.9 12Z'],
  line: ['M48 16V22M70 38H64M26 38H32M63 23L59 27M33 23L37 27'],
  red: ['M48 38L62 26'],
};
const IRON: Drawing = {
  fill: ['M14 52Q22 26 52 26H78L84 52Z', 'M40 26Q44 12 66 14L70 26H62Q58 20 50 26Z'],
  line: ['M8 62H90'],
};
const CHALK: Drawing = {
  fill: ['M12 40H84V54H12Z'],
  line: ['M20 40V47M30 40V45M40 40V47M50 40V45M60 40V47M70 40V45M80 40V47', 'M58 10L68 6L74 22L70 32L62 28Z'],
  red: ['M70 32V38'],
};
const BUTTON: Drawing = {
  fill: ['M48 10A26 26 0 1 1 47.9 10Z'],
  line: ['M48 16A20 20 0 1 1 47.9 16Z'],
  thread: ['M40 36H56', 'M40 40H56'],
};
const RIPPER: Drawing = {
  fill: ['M8 34H50V42H8Z'],
  line: ['M50 38H70Q74 38 74 33L88 26', 'M74 38Q82 42 86 40'],
  red: ['M76 33A3 3 0 1 1 75.9 33Z'],
};
const BOTTLE: Drawing = {
  fill: ['M36 30H60V64H36Z', 'M42 30L46 12H50L54 30Z'],
  red: ['M70 18Q76 28 70 30Q64 28 70 18Z'],
};
const SHIRT: Drawing = {
  fill: ['M34 12L18 24L26 40L34 34V64H62V34L70 40L78 24L62 12Q48 22 34 12Z'],
  line: ['M48 20V64'],
};
const SCRAP: Drawing = {
  fill: ['M12 14L26 10L40 15L56 10L70 14L84 10V60L70 64L54 60L38 64L24 60L12 63Z'],
  thread: ['M32 34H64M32 40H64M32 32V42M64 32V42'],
};
const TAILS: Drawing = {
  fill: ['M10 44H86V58H10Z'],
  thread: ['M40 44C38 24 50 22 46 8', 'M50 44C54 28 62 30 60 12'],
};
const LEVER: Drawing = {
  fill: ['M24 46H72V54H24Z', 'M44 10H52V46H44Z', 'M66 8H73V42H66Z'],
  red: ['M84 16V36M80 31L84 36L88 31'],
  line: ['M16 62H80'],
};
const START: Drawing = {
  fill: ['M20 46H76V56H20Z'],
  red: ['M66 34A22 22 0 1 0 30 34', 'M30 34L28 24M30 34L40 31'],
};
const MARK: Drawing = {
  fill: ['M44 2H52V30L48 44L44 30Z', 'M10 48H86V64H10Z'],
  red: ['M48 46V60M40 53H56', 'M48 47A6 6 0 1 1 47.9 47Z'],
};
const CORD: Drawing = {
  fill: ['M6 24H90V62H6Z'],
  thread: ['M20 36H62C74 36 74 50 62 50H20', 'M6 36H20M6 50H20'],
};
const FEED: Drawing = {
  fill: ['M10 34H86V44H10Z'],
  line: ['M30 34L34 28L38 34L42 28L46 34L50 28L54 34L58 28L62 34'],
  red: ['M48 50V68M42 62L48 68L54 62'],
};
const FILM: Drawing = {
  fill: ['M8 40H88V58H8Z'],
  line: ['M8 34Q28 26 48 34T88 34', 'M8 24Q28 16 48 24T88 24'],
};
const FINGER: Drawing = {
  fill: ['M42 14A22 22 0 1 1 41.9 14Z', 'M58 26L84 14L88 22L62 36Z'],
  line: ['M42 30A6 6 0 1 1 41.9 30Z'],
  red: ['M80 14A4 4 0 1 1 79.9 14Z'],
};
const HAND_NEEDLE: Drawing = {
  line: ['M14 58L74 14', 'M70 13L76 17'],
  thread: ['M72 16C88 14 90 32 76 38C60 46 52 60 66 66'],
};
const EYE: Drawing = {
  fill: ['M12 44H60V66H12Z', 'M62 10A16 16 0 1 1 61.9 10Z'],
  thread: ['M20 52H52M20 58H52'],
  line: ['M74 37L86 52'],
};
const PIN: Drawing = {
  fill: ['M6 34H90V58H6Z', 'M20 20A5 5 0 1 1 19.9 20Z'],
  line: ['M24 28L44 42M54 49L66 58'],
};
const PUNCH: Drawing = {
  fill: ['M40 4H56V34H40Z', 'M42 34H54V48H42Z', 'M8 56H88V64H8Z'],
  red: ['M42 51H54'],
};
const WATER: Drawing = {
  fill: ['M12 34H84L76 66H20Z'],
  line: ['M12 34Q24 28 36 34T60 34T84 34'],
  red: ['M40 8Q47 19 40 22Q33 19 40 8Z', 'M58 4Q65 15 58 18Q51 15 58 4Z'],
};
const SEWN: Drawing = {
  fill: ['M6 16H90V60H6Z'],
  thread: ['M22 32H74M22 44H74M22 28V48M74 28V48'],
  line: ['M26 38H70'],
};
const SPACER: Drawing = {
  fill: ['M6 52H90V62H6Z', 'M26 22H70V34H26Z'],
  line: ['M40 34V52M56 34V52'],
  red: ['M18 42H78'],
};
const KEEP: Drawing = {
  fill: ['M28 32H68V62H28Z'],
  line: ['M36 32V22Q36 10 48 10Q60 10 60 22V32', 'M48 44V52'],
};
const TEAR: Drawing = {
  fill: ['M6 18H54V54H6Z'],
  thread: ['M14 32H46M14 40H46'],
  red: ['M58 16L66 24L60 32L68 40L62 50L70 58', 'M74 36H90M85 31L90 36L85 41'],
};
const BOBBIN: Drawing = {
  fill: ['M30 12H66V18H30ZM30 54H66V60H30Z'],
  thread: ['M36 20H60V52H36Z', 'M36 28H60M36 36H60M36 44H60', 'M60 24C74 22 80 14 88 12'],
};
const PENCIL: Drawing = {
  fill: ['M22 50L62 10L74 22L34 62L18 66Z'],
  line: ['M56 16L68 28', 'M8 70H46'],
};
const STRIP: Drawing = { fill: ['M8 22H88V50H8Z'], line: ['M8 29H88M8 43H88'] };
const BOX: Drawing = { fill: ['M14 26H82V62H14Z'], line: ['M14 26L26 12H70L82 26', 'M48 26V38'] };

export const TOOLS: Record<string, Drawing> = {
  needle: NEEDLE,
  'back-needle': NEEDLE,
  foot: FOOT,
  'button-foot': FOOT,
  'back-foot': FOOT,
  settings: DIAL,
  'button-width': DIAL,
  'back-width': DIAL,
  'back-length': DIAL,
  'back-tension': DIAL,
  'back-balance': DIAL,
  'back-selector': DIAL,
  stabilise: IRON,
  'stabilise-buttons': IRON,
  mark: CHALK,
  'mark-buttons': CHALK,
  unmark: CHALK,
  clamp: BUTTON,
  button: BUTTON,
  'spare-button': BUTTON,
  'test-open': RIPPER,
  open: RIPPER,
  seal: BOTTLE,
  dry: BOTTLE,
  'try-on': SHIRT,
  'test-sew': SCRAP,
  accept: SCRAP,
  tails: TAILS,
  secure: TAILS,
  thread: BOBBIN,
  lever: LEVER,
  reset: START,
  'reset-test': START,
  place: MARK,
  'anchor-button': BUTTON,
  'show-button': BUTTON,
  'test-button': BUTTON,
  chalk: CHALK,
  pins: PIN,
  cord: CORD,
  'feed-off': FEED,
  'back-feed_dogs': FEED,
  film: FILM,
  finger: FINGER,
  'hand-thread': HAND_NEEDLE,
  worked: HAND_NEEDLE,
  look: EYE,
  watch: EYE,
  pressure: DIAL,
  speed: DIAL,
  'back-foot_pressure': DIAL,
  'back-speed': DIAL,
  punch: PUNCH,
  'shank-eyelet': PUNCH,
  rinse: WATER,
  'seal-after': BOTTLE,
  sew: SEWN,
  spacer: SPACER,
  stored: KEEP,
  tear: TEAR,
  wind: BOBBIN,
  note: PENCIL,
  ready: BOX,
};

/** What is bought, by its kind on the shopping list. */
export const BOUGHT: Record<string, Drawing> = {
  button: BUTTON,
  thread: BOBBIN,
  stay: STRIP,
  cord: CORD,
  way: HAND_NEEDLE,
  card: STRIP,
  liquid: BOTTLE,
  needle: NEEDLE,
};
/** Whether there is a drawing for it. */
export const hasTool = (name: string): boolean => name in TOOLS;
