// What a new closure begins with: what is chosen, and where nothing is, what was used last.
import type { Choice, PlanChange } from '../../api/client';
import { workroom } from '../../api/workroom.svelte';
import { clothFigures, type OfTheShelf } from './cloth';

export const BLANK = {
  garment: '',
  name: '',
  like: '',
  mirror: false,
  shape: 'rounded',
  machine: '',
  cloth: '',
  use: '',
  place: 'front',
  overlap: '',
};

/** A question of the form, and its answer by now. */
type Asked = {
  name: 'shape' | 'machine' | 'cloth' | 'use' | 'place' | 'overlap';
  label: string;
  value: string;
  choices: Pick<Choice, 'key' | 'name'>[];
  hint?: string;
};

export class Beginning {
  constructor(
    private readonly typed: typeof BLANK,
    private readonly shelf: OfTheShelf[],
  ) {}

  get asked(): Asked[] {
    const { typed, places, place } = this;
    const of = workroom.catalogue;
    const machines = workroom.machines;
    return [
      { name: 'shape', label: 'What goes through', value: typed.shape, choices: of?.shapes ?? [] },
      {
        name: 'machine',
        label: 'Machine',
        value: this.machine,
        choices: machines.map((item) => ({ key: String(item.id), name: item.name })),
      },
      { name: 'cloth', label: 'Fabric', value: typed.cloth, choices: this.cloths },
      { name: 'use', label: 'Kind of garment', value: this.use, choices: of?.uses ?? [] },
      {
        name: 'place',
        label: 'Place on it',
        value: place,
        choices: places,
        hint: places.find((item) => item.key === place)?.note ?? '',
      },
      { name: 'overlap', label: 'Closes, as worn', value: this.overlap, choices: of?.overlaps ?? [] },
    ];
  }

  plan(): PlanChange {
    const cloth = this.typed.cloth || (this.last ? '' : (this.cloths[0]?.key ?? ''));
    return {
      ...this.last?.fields,
      ...clothFigures(cloth, this.shelf, workroom.catalogue),
      'button.shape': this.typed.shape,
      'placket.use': this.use,
      'placket.place': this.place,
      'placket.overlap': this.overlap,
      ...(this.machine ? { 'machine.id': Number(this.machine) } : {}),
    };
  }

  private get last() {
    return workroom.data?.last;
  }

  private get machine(): string {
    return this.typed.machine || String(this.last?.machine ?? workroom.machines[0]?.id ?? '');
  }

  private get use(): string {
    return this.typed.use || (this.last?.fields['placket.use'] ?? 'shirt');
  }

  private get overlap(): string {
    return this.typed.overlap || (this.last?.fields['placket.overlap'] ?? 'right');
  }

  /** A bar tack is sewn elsewhere than a hole. */
  private get places() {
    const shape = workroom.catalogue?.measured.find((item) => item.key === this.typed.shape);
    return (workroom.catalogue?.places ?? []).filter((item) => item.tacked !== (shape?.opens ?? true));
  }

  private get place(): string {
    const { places } = this;
    const known = places.some((item) => item.key === this.typed.place);
    return known ? this.typed.place : (places[0]?.key ?? 'front');
  }

  private get cloths(): Asked['choices'] {
    const { last } = this;
    return [
      ...(last ? [{ key: '', name: `as last: ${last.fields['cloth.name'] || 'the fabric used last'}` }] : []),
      ...this.shelf.map((item) => ({ key: item.name, name: item.name })),
      ...(workroom.catalogue?.cloth_kinds ?? []).map((kind) => ({
        key: `kind:${kind.key}`,
        name: `another, ${kind.name}`,
      })),
    ];
  }
}
