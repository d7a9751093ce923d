// What a new machine, and a new foot, begin with.
import type { MachineProfile } from '../../api/client';

export type Typed = Pick<MachineProfile, 'facts' | 'styles' | 'feet'>;

export const BLANK: Typed = {
  facts: {
    name: '',
    kind: 'sensing',
    stops: 'machine',
    reset: 'none',
    max_width: '7mm',
    width_step: '0.5mm',
    length_step: '0.25mm',
    neutral_tension: '4',
    tension_step: '0.5',
    feed_stop: 'drop_feed',
    bobbin_finger: 'no',
    balance: 'no',
    straight_first: 'no',
    lift_resets: 'no',
    first_side: '',
    first_direction: '',
    needle_positions: '2',
    top_speed: '700',
    length_stepless: 'no',
    width_stepless: 'no',
    foot_pressure: 'no',
    speed_limiter: 'no',
    anchor: 'centre',
    eye_end: 'far',
    second_bead: 'back',
    forgets: 'other_programme',
    foot_lift: '6mm',
    tack_length: '',
  },
  styles: ['two_tacks'],
  feet: [],
};

export const BLANK_FOOT: Typed['feet'][number] = {
  kind: 'sliding_scale_foot',
  nickname: '',
  largest_button: '',
  allowance: '',
  click: '',
  scale_pitch: '5mm',
  scale_reads: 'overall',
};
