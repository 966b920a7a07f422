import { untrack } from 'svelte';
import type { Change } from '$lib/core/records';
import { proposed, type FieldRead, type Proposed } from '$lib/core/sight';
import type { ReadPicture } from '$lib/worker/sight.worker';
import { keep, kept } from '../making/kept-here';
import type { MonthDesk } from '../month/month-desk.svelte';
import { lookAt, type Look } from '../sight';
import { keepPhotograph } from './handed-over';
import type { RecordsDesk } from './records-desk.svelte';

/** How far a picture has come. */
export type Stage =
	| { readonly kind: 'waiting' }
	| { readonly kind: 'looking'; readonly share: number }
	| { readonly kind: 'refused'; readonly says: string }
	| { readonly kind: 'read'; readonly read: ReadPicture }
	| {
			readonly kind: 'taken';
			readonly page: number;
			readonly count: number;
			/** What became of the picture itself, where it was to be kept. */
			readonly picture?: 'being kept' | 'kept' | { readonly trouble: string };
	  };

const keepsKey = 'horarium keeps photographs';

/** A field that was read, and what is proposed for it. */
export interface ProposedField {
	readonly read: FieldRead;
	readonly kept: string;
	readonly proposed: Proposed;
}

/** What somebody said of a field, by its place; without a value it stays as it is kept. */
interface Answer {
	readonly place: number;
	readonly value: string | undefined;
}

/** A picture of a page, and what somebody has answered about it so far. */
export class TakenPicture {
	readonly address: string;
	stage = $state.raw<Stage>({ kind: 'waiting' });
	answers = $state.raw<readonly Answer[]>([]);
	/** Places of fields that were read for sure, and that somebody doubts. */
	doubted = $state.raw<readonly number[]>([]);

	constructor(
		readonly id: number,
		readonly file: File
	) {
		this.address = URL.createObjectURL(file);
	}

	answerTo(place: number): Answer | undefined {
		return this.answers.find((answer) => answer.place === place);
	}

	answer(place: number, value: string | undefined): void {
		this.answers = [...this.answers, { place, value }];
	}

	/** Asks about a field, answered or not. */
	doubt(place: number): void {
		this.answers = this.answers.filter((answer) => answer.place !== place);
		this.doubted = [...this.doubted.filter((other) => other !== place), place];
	}

	/** Takes the last answer back. */
	unanswer(): void {
		this.answers = this.answers.slice(0, -1);
	}
}

/** Pictures of a month's pages, looked at one after the other; nothing of them is kept that was not looked at. */
export class PictureReader {
	pictures = $state.raw<readonly TakenPicture[]>([]);
	/** Whether pictures themselves are kept with what they say; this browser remembers it. */
	keepsPictures = $state(kept(keepsKey, (value) => typeof value === 'boolean') ?? false);
	private look: Look | undefined;
	private next = 1;

	constructor(
		private readonly desk: MonthDesk,
		private readonly records: RecordsDesk
	) {}

	add(files: readonly File[]): void {
		this.pictures = [...this.pictures, ...files.map((file) => new TakenPicture(this.next++, file))];
		if (!this.look) void this.goOn();
	}

	remove(picture: TakenPicture): void {
		const isLooking = picture.stage.kind === 'looking';
		this.pictures = this.pictures.filter((other) => other !== picture);
		URL.revokeObjectURL(picture.address);
		if (isLooking) this.stop();
	}

	/** Looks at a picture again, as one of a page that the person says. */
	again(picture: TakenPicture, page: number): void {
		picture.answers = [];
		picture.doubted = [];
		picture.stage = { kind: 'waiting' };
		if (!this.look) void this.goOn(page);
	}

	/** Ends all looking, when the screen is left. */
	close(): void {
		this.look?.stop();
		for (const { address } of this.pictures) URL.revokeObjectURL(address);
		this.pictures = [];
	}

	/** What the fields of a picture mean for what is kept now. */
	fieldsOf({ stage, doubted }: TakenPicture): ProposedField[] {
		if (stage.kind !== 'read') return [];
		return stage.read.fields.map((read, place) => {
			const kept = this.records.valueOf(read.wish, read.about);
			return {
				read,
				kept,
				proposed: doubted.includes(place) ? openly(read) : proposed(read, kept)
			};
		});
	}

	/** What a field holds once the picture is taken over. */
	valueOf(picture: TakenPicture, { kept, proposed }: ProposedField, place: number): string {
		if (proposed.kind === 'new') return proposed.value;
		return picture.answerTo(place)?.value ?? kept;
	}

	/** Changes that a picture makes: what was read for sure, and what was answered. */
	changesOf(picture: TakenPicture): Change[] {
		return this.fieldsOf(picture).flatMap((field, place): Change[] => {
			const { read, kept } = field;
			const value = this.valueOf(picture, field, place);
			if (value === kept) return [];
			return [{ wish: read.wish, about: read.about, holds: read.field.holds, value }];
		});
	}

	/** Keeps what a picture says, as one step that can be taken back. */
	take(picture: TakenPicture): void {
		if (picture.stage.kind !== 'read') return;
		const { page } = picture.stage.read;
		const changes = this.changesOf(picture);
		this.records.change(changes);
		const taken = { kind: 'taken', page, count: changes.length } as const;
		picture.stage = taken;
		if (!this.keepsPictures) return;
		picture.stage = { ...taken, picture: 'being kept' };
		void keepPhotograph(this.desk.id, page, picture.file).then((trouble) => {
			picture.stage = { ...taken, picture: trouble === undefined ? 'kept' : { trouble } };
		});
	}

	/** Says whether pictures are kept from now on. */
	keepPictures(keeps: boolean): void {
		this.keepsPictures = keeps;
		keep(keepsKey, keeps);
	}

	private stop(): void {
		this.look?.stop();
		this.look = undefined;
		void this.goOn();
	}

	private async goOn(page?: number): Promise<void> {
		const picture = this.pictures.find(({ stage }) => stage.kind === 'waiting');
		if (!picture) return;
		picture.stage = { kind: 'looking', share: 0 };
		const { plan, run } = untrack(() =>
			$state.snapshot({ plan: this.desk.plan, run: this.desk.run })
		);
		const look = lookAt({ kind: 'read', picture: picture.file, plan, run, page }, (share) => {
			picture.stage = { kind: 'looking', share };
		});
		this.look = look;
		const looked = await look.result;
		if (this.look !== look) return;
		this.look = undefined;
		if (looked.kind === 'read') picture.stage = { kind: 'read', read: looked.read };
		else if (looked.kind === 'refused') picture.stage = { kind: 'refused', says: looked.says };
		await this.goOn();
	}
}

/** A field that somebody doubts: what it may hold, or to be typed. */
function openly({ field }: FieldRead): Proposed {
	if (field.holds === 'mark' || field.holds === 'tick')
		return { kind: 'ask', likely: field.holds === 'mark' ? ['x', '', '-', 'o'] : ['x', ''] };
	const { levels } = field;
	if (field.holds === 'level' && levels)
		return { kind: 'ask', likely: [...levels.map((_, at) => String(at + 1)), ''] };
	return { kind: 'type' };
}
