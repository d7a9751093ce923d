// The drawing beside a preference: the tool or the part of the work it is about.
import type { Drawing } from '../../drawn/drawing';
import { TOOLS } from '../../drawn/tools';

const STEP: Record<string, string> = {
  opening: 'clamp',
  placket: 'mark',
  'recipe.pace': 'look',
  'recipe.tension_by': 'settings',
  'recipe.tails': 'tails',
  'recipe.first_hole': 'test-sew',
  'recipe.stay_by': 'stabilise',
  'recipe.thin_cover': 'sew',
  'cut.tool': 'open',
  'cut.seal': 'seal',
  'attach.feed': 'feed-off',
  'attach.marks': 'place',
  'attach.secure': 'tails',
  attach: 'button',
};

export const habitDrawing = (path: string): Drawing | undefined =>
  TOOLS[STEP[path] ?? STEP[path.split('.')[0] ?? ''] ?? ''];
