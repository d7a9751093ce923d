import type { Closure } from '../api/client';

/** Whether the finished edge of the buttonhole side is at the right, seen right side up with its top away: that of a side
 * that closes right over left is. */
export const edgeAtRight = (plan: Closure['plan']): boolean => plan['placket.overlap'] === 'right';
