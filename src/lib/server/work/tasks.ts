import { planRun, tooLarge, type Plan, type Run } from '$lib/core/fit';
import { readJson, type Checked, type Fault, type Validator } from '$lib/core/formats';
import { makingPlan, type Evenings, type MakingPlan, type Workshop } from '$lib/core/making';
import { answer, type ApiRequest } from '../answer/api-answers';
import { ArchiveFault } from '../archive/json-rows';
import { checkFont, type FontCheck } from '../archive/font-check';
import { readCopy, unpackShelf } from '../archive/unpack';
import type { Left } from '../archive/readable';
import { bodies, type BodyName, type BodyOf } from '../keep/schemas';
import { sheet, type SheetRequest } from '../answer/sheet-answers';
import { pack, type Packed } from './packed';
import { TooMuch } from './too-much';

/** The text of a request's body, and which schema it is held against. */
export interface CheckRequest<Name extends BodyName = BodyName> {
	readonly schema: Name;
	readonly body: string;
}

const validators: { readonly [Name in BodyName]: Validator<BodyOf<Name>> } = bodies;

/** What is to be made of a month, and when there is time for it. */
export interface MakingRequest {
	readonly plan: Plan;
	readonly run: Run;
	readonly workshop: Workshop;
	readonly evenings: Evenings;
	readonly today: string;
	readonly moved: Readonly<Record<string, string>>;
}

/** An archive, or a copy of the database, and the new database that it is read into. */
export interface UnpackRequest {
	readonly from: 'archive' | 'copy';
	readonly file: string;
	readonly into: string;
}

/** What could not be read of it, or why nothing can be taken of it. */
export type Unpacked =
	| { readonly ok: true; readonly left: readonly Left[] }
	| { readonly ok: false; readonly fault: Fault };

/** What is worked out apart from the thread that answers requests. All that goes in and out is plain data. */
export const tasks = {
	check: async <Name extends BodyName>({
		schema,
		body
	}: CheckRequest<Name>): Promise<Checked<BodyOf<Name>>> => readJson(validators[schema], body),
	/** Nothing is carried from one run to the next: of equally good runs it could choose another one. */
	run: async (plan: Plan): Promise<Run> => {
		const large = tooLarge(plan);
		if (large !== undefined) throw new TooMuch(`This month asks for too much at once: ${large}.`);
		return planRun(plan);
	},
	answer: async (request: ApiRequest): Promise<Packed> => pack(await answer(request)),
	sheet: async (request: SheetRequest): Promise<Packed> => pack(await sheet(request)),
	making: async ({
		plan,
		run,
		workshop,
		evenings,
		today,
		moved
	}: MakingRequest): Promise<MakingPlan> => makingPlan(plan, run, workshop, evenings, today, moved),
	unpack: async ({ from, file, into }: UnpackRequest): Promise<Unpacked> => {
		try {
			const left = await (from === 'archive' ? unpackShelf(file, into) : readCopy(file, into));
			return { ok: true, left };
		} catch (error) {
			if (!(error instanceof ArchiveFault)) throw error;
			return { ok: false, fault: { path: error.path, message: error.message } };
		}
	},
	font: (file: Uint8Array): Promise<FontCheck> => checkFont(file)
};

/** One piece of work. */
export type Job =
	| { readonly name: 'check'; readonly input: CheckRequest }
	| { readonly name: 'run'; readonly input: Plan }
	| { readonly name: 'answer'; readonly input: ApiRequest }
	| { readonly name: 'sheet'; readonly input: SheetRequest }
	| { readonly name: 'making'; readonly input: MakingRequest }
	| { readonly name: 'unpack'; readonly input: UnpackRequest }
	| { readonly name: 'font'; readonly input: Uint8Array };
