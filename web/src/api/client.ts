// The typed client of the interface. Types come from app/http/openapi.yaml.
import createClient from 'openapi-fetch';
import { device } from './browser_store';
import type { components, paths } from './schema';

type Schemas = components['schemas'];
/** Of a closure asked for one stage there is less: whoever shows a stage asks whether it covers that. */
export type Closure = Omit<Schemas['Closure'], 'sheet'> & { sheet: Sheet };
export type Plan = Schemas['Plan'];
export type PreviewOf = Schemas['Preview'];
export type PlanChange = Schemas['PlanChange'];
type Recipe = Required<Schemas['SheetRecipe']>;
export type Sheet = Omit<Required<Schemas['Sheet']>, 'opening' | 'recipe'> & {
  opening: Required<Schemas['SheetOpening']>;
  recipe: Omit<Recipe, 'ways'> & { ways: Required<Schemas['OtherWays']> };
};
export type Workroom = Schemas['Workroom'];
export type Account = Schemas['Account'];
export type Security = Schemas['Security'];
export type People = Schemas['People'];
export type Role = People['people'][number]['role'];
export type Pairing = Schemas['Pairing'];
export type Right = Schemas['You']['may'][number];
export type HereNow = Schemas['Here'];
export type WorkroomName = Schemas['WorkroomName'];
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
export type EntryTyped = Schemas['EntryTyped'];
export type ShelfItem = Schemas['ShelfItem'];
export type Revision = Schemas['Revision'];
export type JournalLine = Schemas['Journal']['lines'][number];
export type Shelf = Schemas['Shelf'];
export type ShelfName = 'cloths' | 'threads' | 'stabilisers';
export type ShelfThing = Schemas['ShelfThing'];
export type ShelfTaken = Schemas['ShelfTaken'];
export type UnderWay = Schemas['UnderWay'];
export type FirstAnswer = Schemas['FirstAnswer'];
export type WasteItem = Schemas['WasteBasket'][number];
export type StashButton = Schemas['StashButton'];
export type StashFields = Schemas['StashFields'];
export type CaliperState = Schemas['Caliper'];
export type MachineProfile = Schemas['MachineProfile'];
export type GarmentPage = Schemas['GarmentPage'];
export type Stitches = Schemas['Stitches'];
export type Habit = Schemas['Habit'];
export type Readings = Schemas['Readings'];
export type Advice = Schemas['Advice'];
export type Rehearsal = Schemas['Rehearsal'];
export type WeakSkill = Schemas['WeakSkill'];
export type RehearsalDue = Schemas['RehearsalDue'];
export type Exercise = Schemas['Exercise'];
export type Bench = Schemas['Bench'];
export type Attempt = Schemas['Attempt'];
export type PracticeAct = Schemas['PracticeAct'];
export type SlipMade = Schemas['SlipMade'];
export type EyeSample = Schemas['EyeSample'];
export type EyesJudged = Schemas['EyesJudged'];
export type Look = Schemas['Look'];
export type LookDrawn = Schemas['LookPictures'][number];
export type BeliefStrip = Schemas['Strip'];
export type SwatchLeaf = Schemas['SwatchLeaf'];
export type SwatchPage = Schemas['SwatchPage'];
export type SwatchPhoto = Schemas['Photo'];
export type PhotoReading = Schemas['PhotoReading'];
export type Frozen = Schemas['Frozen'];
export type EntriesAnswered = Schemas['EntriesAnswered'];
/** As it is sent: steps name what the machine is set to by numbers. */
export type SessionSent = Schemas['Session'];
export type SessionStep = Omit<Schemas['SessionStep'], 'ledger'> & { ledger: Schemas['LedgerEntry'][] };
export type Session = Omit<SessionSent, 'steps' | 'things'> & { steps: SessionStep[] };
export type SessionClosure = Schemas['SessionClosure'];
export type SessionMishap = Schemas['SessionMishap'];
export type SessionMoment = Schemas['SessionMoment'];
export type SessionChange = Schemas['SessionChange'];
export type ButtonStitches = Schemas['ButtonStitches'];
export type Setting = Schemas['FootSetting'];

/** A page in the place of an answer is that of somebody who wants a name first. */
async function answered(request: Request): Promise<Response> {
  const response = await fetch(request);
  const page = response.headers.get('content-type')?.startsWith('text/html') ?? false;
  return page ? new Response(null, { status: response.ok ? 401 : response.status }) : response;
}

export const client = createClient<paths>({
  baseUrl: '/',
  fetch: answered,
  headers: { 'X-Nimble-Eyelet': '1', 'X-Device': device() },
});

/** Something that may be shown and has millimetres and text, or is plain text, or is not set. */
type Shown = Length | string | number | null | undefined;

/** The text a field shows for a value of the plan. */
export function textOf(value: Shown): string {
  if (value === null || value === undefined) return '';
  return typeof value === 'object' ? value.text : String(value);
}

/** Paths of the plan that hold a single value. */
export type Path = Exclude<keyof Plan, 'placket.pins' | 'placket.keep_outs'>;
/** Paths that hold a list of rows. */
export type ListPath = 'placket.pins' | 'placket.keep_outs';

/** The value of a plan at a path such as `button.thickness`, as text. */
export function planText(closure: Closure, path: string): string {
  return textOf(closure.plan[path as Path]);
}
