// Outlines of garments, and the edge on each that carries the holes: drawn on a sheet of 200 by 220, as worn, seen from
// the front. A new kind or place is a row here.

export type Line = [x1: number, y1: number, x2: number, y2: number];
export type Outline = {
  /** Pieces of cloth, the lowest first. */
  cloth: string[];
  /** Second cloth: collars, cuffs, linings. */
  trim?: string[];
  /** Seams and folds. */
  lines?: string[];
  /** Topstitching, pockets. */
  dashes?: string[];
  /** Where the edge with the holes begins and ends: from the end that is measured from. */
  edge: Line;
};

const SLEEVES_SHORT = 'M62 40L38 52L12 98L38 112L58 86ZM138 40L162 52L188 98L162 112L142 86Z';
const SLEEVES_LONG = 'M60 40L40 50L18 158L40 164L60 92ZM140 40L160 50L182 158L160 164L140 92Z';
const BODY = 'M62 40Q100 58 138 40L144 84L144 206Q100 212 56 206L56 84Z';
const COLLAR = 'M76 28Q100 40 124 28L138 42L117 64L100 47L83 64L62 42Z';

const SHIRT: Outline = {
  cloth: [SLEEVES_SHORT, BODY],
  trim: [COLLAR],
  lines: ['M92 56V209M108 56V209'],
  dashes: ['M116 104H136V122L126 130L116 122Z'],
  edge: [100, 50, 100, 208],
};
const COAT: Outline = {
  cloth: [SLEEVES_LONG, 'M60 38Q100 54 140 38L142 90L150 214Q100 219 50 214L58 90Z'],
  trim: ['M74 28Q100 38 126 28L140 44L112 100L100 84L88 100L60 44Z'],
  lines: ['M100 90V216', 'M66 150H84V156H66ZM116 150H134V156H116Z'],
  edge: [100, 88, 100, 216],
};
const FITTED: Outline = {
  cloth: [
    SLEEVES_LONG,
    'M60 38Q100 54 140 38L142 90Q132 124 136 142L154 210Q100 218 46 210L64 142Q68 124 58 90Z',
  ],
  trim: ['M74 28Q100 38 126 28L140 44L112 92L100 78L88 92L60 44Z'],
  lines: ['M100 80V214', 'M78 96Q74 130 80 166M122 96Q126 130 120 166'],
  edge: [100, 84, 100, 206],
};
const LONG_COAT: Outline = {
  cloth: [
    'M64 46L44 58L22 190L52 206L70 110ZM136 46L156 58L178 190L148 206L130 110Z',
    'M64 44Q100 58 136 44L142 96L166 212Q100 220 34 212L58 96Z',
  ],
  trim: ['M66 46Q62 6 100 4Q138 6 134 46Q118 60 100 62Q82 60 66 46Z', 'M92 60H108V216H92Z'],
  lines: ['M80 46Q78 18 100 16Q122 18 120 46Q100 60 80 46Z'],
  dashes: ['M60 150H84V156H60ZM116 150H140V156H116Z'],
  edge: [100, 64, 100, 214],
};
const WAISTCOAT: Outline = {
  cloth: [
    'M66 30L84 26Q100 34 116 26L134 30Q126 64 146 88Q134 126 138 146L146 190L114 208L100 192L86 208L54 190L62 146Q66 126 54 88Q74 64 66 30Z',
  ],
  trim: ['M84 26Q100 36 116 26L100 96Z'],
  lines: ['M100 96V192', 'M80 110Q76 140 80 176M120 110Q124 140 120 176'],
  dashes: ['M66 150L84 154M134 150L116 154'],
  edge: [100, 98, 100, 190],
};
const CARDIGAN: Outline = {
  cloth: [SLEEVES_LONG, 'M66 36L100 98L134 36L142 84L142 206Q100 211 58 206L58 84Z'],
  trim: ['M66 36L74 32L104 98V209L96 209V98Z', 'M134 36L126 32L100 90L104 98Z'],
  lines: ['M58 194Q78 198 96 198M104 198Q122 198 142 194', 'M20 148L43 154M180 148L157 154'],
  edge: [100, 98, 100, 209],
};
const HENLEY: Outline = {
  cloth: [SLEEVES_LONG, 'M64 38Q100 52 136 38L142 84L142 206Q100 211 58 206L58 84Z'],
  trim: ['M72 34Q100 52 128 34L134 40Q100 62 66 40Z', 'M93 53V112H107V53Z'],
  edge: [100, 52, 100, 112],
};
const SMOCK: Outline = {
  cloth: [
    'M70 44L46 56L26 92L46 106L68 84ZM130 44L154 56L174 92L154 106L132 84Z',
    'M70 42Q100 56 130 42L136 84L160 196Q100 206 40 196L64 84Z',
  ],
  trim: ['M78 34Q100 48 122 34L130 42Q116 60 100 50Q84 60 70 42Z'],
  lines: ['M64 90Q100 98 136 90'],
  dashes: ['M56 150Q68 168 82 152'],
  edge: [100, 50, 100, 202],
};
const TROUSERS: Outline = {
  cloth: ['M62 34H138L150 212H112L100 96L88 212H50Z'],
  trim: ['M62 24H138L138 40H62Z'],
  lines: ['M100 40V96', 'M112 40V76Q110 88 100 90'],
  dashes: ['M70 44L80 66M130 44L120 66'],
  edge: [100, 40, 100, 96],
};
const COVER: Outline = {
  cloth: ['M26 46Q100 36 174 46Q184 110 174 178Q100 188 26 178Q16 110 26 46Z'],
  lines: ['M21 112H179'],
  dashes: ['M22 128H178'],
  edge: [26, 120, 174, 120],
};
const CURTAIN: Outline = {
  cloth: ['M24 36H176L170 208Q152 200 136 208Q118 200 100 208Q82 200 64 208Q48 200 30 208Z'],
  lines: ['M64 52L62 204M100 52V204M136 52L138 204', 'M14 26H186'],
  edge: [28, 44, 172, 44],
};
const BAG: Outline = {
  cloth: ['M64 62Q64 16 100 16Q136 16 136 62H126Q126 26 100 26Q74 26 74 62Z', 'M30 62H170L178 200H22Z'],
  trim: ['M30 62H170L166 118Q100 148 34 118Z'],
  edge: [44, 116, 156, 116],
};
const CUFF: Outline = {
  cloth: ['M62 20H138L152 118H48Z'],
  trim: ['M40 118H160V184H40Z'],
  lines: ['M70 100V118M88 96V118M112 96V118M130 100V118'],
  dashes: ['M46 124H154V178H46Z'],
  edge: [148, 118, 148, 184],
};
const STAND: Outline = {
  cloth: ['M20 212V134Q100 108 180 134V212Z'],
  trim: ['M26 128Q100 100 174 128L178 92Q100 62 22 92Z', 'M24 90Q46 34 100 40Q154 34 176 90Q100 62 24 90Z'],
  lines: ['M92 118V212M108 118V212'],
  edge: [100, 76, 100, 110],
};
const COLLAR_POINT: Outline = {
  cloth: ['M20 212V120Q100 92 180 120V212Z'],
  trim: ['M34 100Q100 62 166 100L182 168L120 150L100 96L80 150L18 168Z'],
  lines: ['M100 106V212'],
  edge: [44, 130, 28, 162],
};
const WAISTBAND: Outline = {
  cloth: ['M34 96H166L176 212H24Z'],
  trim: ['M24 48H176V96H24Z'],
  lines: ['M118 96V212', 'M52 96L60 128M88 96L92 124M142 96L138 126'],
  dashes: ['M30 54H170V90H30Z'],
  edge: [160, 48, 160, 96],
};
const DOUBLE: Outline = {
  cloth: COAT.cloth,
  trim: ['M74 28Q100 38 126 28L140 44L122 104L100 76L78 104L60 44Z'],
  lines: ['M124 106L126 216', 'M64 160H78V166H64ZM130 160H140V166H130Z'],
  edge: [100, 104, 100, 210],
};
const SLEEVE: Outline = {
  cloth: ['M54 16H146L160 172H40Z'],
  trim: ['M38 172H162V204H38Z'],
  lines: ['M116 60V172M130 60V172M116 60L123 50L130 60'],
  edge: [123, 62, 123, 170],
};
const STRAP: Outline = {
  cloth: ['M14 84H150L178 112L150 140H14Z'],
  dashes: ['M14 91H147L168 112L147 133H14'],
  edge: [138, 84, 138, 140],
};
const LOOPS: Outline = {
  ...TROUSERS,
  lines: [...(TROUSERS.lines ?? []), 'M74 22V44H80V22ZM118 22V44H124V22ZM96 22V44H102V22Z'],
  edge: [66, 42, 134, 42],
};
const POCKET: Outline = {
  cloth: ['M18 30H182V206H18Z'],
  trim: ['M46 70H154V148L100 186L46 148Z'],
  dashes: ['M52 84H148M52 76V145L100 178L148 145V76'],
  edge: [48, 74, 152, 74],
};
const STRAP_ENDS: Outline = { ...BAG, edge: [69, 66, 131, 66] };

const BY_PLACE: Record<string, Outline> = {
  stand: STAND,
  cuff: CUFF,
  sleeve_slit: SLEEVE,
  collar_point: COLLAR_POINT,
  waistband: WAISTBAND,
  double_breasted: DOUBLE,
  knit_band: CARDIGAN,
  tab: STRAP,
  belt_loops: LOOPS,
  pocket_corners: POCKET,
  fly: TROUSERS,
  fly_end: { ...TROUSERS, edge: [100, 76, 100, 96] },
  strap_ends: STRAP_ENDS,
};
const BY_USE: Record<string, Outline> = {
  shirt: SHIRT,
  coat: COAT,
  small: HENLEY,
  children: SMOCK,
  knitwear: CARDIGAN,
  trousers: TROUSERS,
  bedding: COVER,
  curtain: CURTAIN,
  bag: BAG,
};

/** An edge up to so long, in mm, closes a waistcoat; from so long on a long coat. */
const WAIST_LONG = 480;
const KNEE_LONG = 690;

function coatOf(place: string, length: number): Outline {
  if (length >= KNEE_LONG) return LONG_COAT;
  if (length > 1 && length <= WAIST_LONG) return WAISTCOAT;
  return place === 'pulled_front' ? FITTED : COAT;
}

/** A neck placket is shorter than a cardigan, a strap than a neck placket. */
const NECK_LONG = 260;
const STRAP_LONG = 120;

function byLength(use: string, place: string, length: number): Outline | undefined {
  if (length <= 1) return undefined;
  if (place === 'knit_band' && length <= NECK_LONG) return HENLEY;
  if (use === 'small' && place === 'front' && length <= STRAP_LONG) return STRAP;
  if (use === 'children' && place === 'pulled_front') return WAISTCOAT;
  return undefined;
}

/** The outline of a kind of garment with this place on it; how long its edge is tells a waistcoat from a coat. */
export function outlineOf(use: string, place: string, length = 0): Outline {
  return (
    byLength(use, place, length) ??
    BY_PLACE[place] ??
    (use === 'coat' ? coatOf(place, length) : BY_USE[use]) ??
    SHIRT
  );
}

/** A place along the edge of an outline, from 0 to 1, and which way its edge runs there. */
export function along(outline: Outline, part: number): { x: number; y: number; lies: boolean } {
  const [x1, y1, x2, y2] = outline.edge;
  return { x: x1 + (x2 - x1) * part, y: y1 + (y2 - y1) * part, lies: Math.abs(x2 - x1) > Math.abs(y2 - y1) };
}
