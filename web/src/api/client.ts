// The typed client of the interface. Types come from app/http/openapi.yaml.
import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
export type Closure = Schemas['Closure'];
export type Sheet = Schemas['Sheet'];
export type Workroom = Schemas['Workroom'];
export type Catalogue = Schemas['Catalogue'];
export type Choice = Schemas['Choice'];
export type Length = Schemas['Length'];
export type Hole = Schemas['Hole'];
export type Reason = Schemas['Reason'];
export type Caution = Schemas['Caution'];
export type Problem = Schemas['Problem'];
export type StageState = Schemas['StageState'];
export type StageWord = Schemas['StageWord'];
export type Step = Schemas['Step'];
export type ShelfItem = Schemas['ShelfItem'];
export type Revision = Schemas['Revision'];
export type PlainOpening = Schemas['PlainOpening'];
export type PlainAsked = paths['/api/plain-openings']['post']['requestBody']['content']['application/json'];
export type StashButton = Schemas['StashButton'];
export type Caliper = Schemas['Caliper'];
export type MachineProfile = Schemas['MachineProfile'];
export type GarmentPage = Schemas['GarmentPage'];
export type Stitches = Schemas['Stitches'];
export type Habit = Schemas['Habit'];
export type Readings = Schemas['Readings'];

export const client = createClient<paths>({ baseUrl: '/', headers: { 'X-Nimble-Eyelet': '1' } });

/** Something that may be shown and has millimetres and text, or is plain text, or is not set. */
type Shown = Length | string | number | null | undefined;

/** The text a field shows for a value of the plan. */
export function textOf(value: Shown): string {
  if (value === null || value === undefined) return '';
  return typeof value === 'object' ? value.text : String(value);
}

/** The value of a plan at a path such as `button.diameter`, as text. */
export function planText(closure: Closure, path: string): string {
  const [room, name] = path.split('.') as [keyof Closure['plan'], string];
  return textOf((closure.plan[room] as Record<string, Shown>)[name]);
}
