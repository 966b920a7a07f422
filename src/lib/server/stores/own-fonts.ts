import type { Coverage, Ranges } from '$lib/core/hand';
import { listOfRanges, readJson } from '$lib/core/formats';
import type { Db } from '../keep/database';
import type { FontFile, FontUse } from '../answer/fonts';
import { newId, now, writing } from '../keep/write';

/** A font file of the person's own, without its content. */
export interface OwnFont {
	readonly id: string;
	readonly name: string;
	readonly use: FontUse;
	/** How many letters it has. */
	readonly letters: number;
}

/** Font files that the person added for letters that the shipped ones lack. */
export class OwnFonts {
	constructor(private readonly db: Db) {}

	/** All of them, in the order in which they were added. */
	async all(): Promise<OwnFont[]> {
		return (await this.rows()).map(({ id, name, use, ranges }) => ({
			id,
			name,
			use,
			letters: lettersIn(ranges)
		}));
	}

	/** Letters that they add to the shipped ones'. */
	async coverage(): Promise<Coverage> {
		const rows = await this.rows();
		const of = (style: keyof Coverage) =>
			rows.flatMap(({ use, ranges }) => (use === 'both' || use === style ? ranges : []));
		return { hand: of('hand'), lettering: of('lettering') };
	}

	/** The files themselves, to be written with. */
	async files(): Promise<FontFile[]> {
		const rows = await this.db
			.selectFrom('own_font')
			.select(['id', 'used_for', 'file'])
			.where('deleted_at', 'is', null)
			.orderBy('created_at')
			.execute();
		return rows.map(({ id, used_for, file }) => ({
			id,
			use: used_for,
			file: new Uint8Array(file)
		}));
	}

	/** One file; undefined when there is none with that id. */
	async file(id: string): Promise<Uint8Array | undefined> {
		const row = await this.db
			.selectFrom('own_font')
			.select('file')
			.where('id', '=', id)
			.where('deleted_at', 'is', null)
			.executeTakeFirst();
		return row && new Uint8Array(row.file);
	}

	async add(name: string, use: FontUse, ranges: Ranges, file: Uint8Array): Promise<OwnFont> {
		const id = newId();
		const row = {
			id,
			name,
			used_for: use,
			letters: JSON.stringify(ranges),
			file,
			created_at: now(),
			deleted_at: null
		};
		await writing(this.db, (tx) => tx.insertInto('own_font').values(row).execute());
		return { id, name, use, letters: lettersIn(ranges) };
	}

	/** Marks a font as deleted, or takes the mark away; false when there is none with that id. */
	async setDeleted(id: string, deleted: boolean): Promise<boolean> {
		const done = await writing(this.db, (tx) =>
			tx
				.updateTable('own_font')
				.set({ deleted_at: deleted ? now() : null })
				.where('id', '=', id)
				.executeTakeFirst()
		);
		return done.numUpdatedRows > 0n;
	}

	private async rows() {
		const rows = await this.db
			.selectFrom('own_font')
			.select(['id', 'name', 'used_for', 'letters'])
			.where('deleted_at', 'is', null)
			.orderBy('created_at')
			.execute();
		return rows.map(({ id, name, used_for, letters }) => {
			const read = readJson(listOfRanges, letters);
			return { id, name, use: used_for, ranges: read.ok ? read.value : [] };
		});
	}
}

/** How many letters ranges of code points hold. */
function lettersIn(ranges: Ranges): number {
	return ranges.reduce((sum, [first, last]) => sum + last - first + 1, 0);
}
