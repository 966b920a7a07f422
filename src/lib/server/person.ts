import { checked, handSchema } from '$lib/core/formats';
import { defaultHand, type Hand } from '$lib/core/hand';
import type { PrintedBars } from '$lib/core/paper';
import type { Db } from './database';
import { newId } from './write';

/** A printer and how true it prints. */
export interface Printer extends PrintedBars {
	readonly id: string;
	readonly name: string;
}

/** What is kept of the person: the measured hand, and the printers they print with. */
export class PersonStore {
	constructor(private readonly db: Db) {}

	/** The measured hand, or the usual one until it is measured. */
	async hand(): Promise<Hand> {
		const row = await this.db
			.selectFrom('setting')
			.select('content')
			.where('name', '=', 'hand')
			.executeTakeFirst();
		if (!row) return defaultHand;
		const hand = checked(handSchema, JSON.parse(row.content));
		return hand.ok ? hand.value : defaultHand;
	}

	async setHand(hand: Hand): Promise<void> {
		const content = JSON.stringify(hand);
		await this.db
			.insertInto('setting')
			.values({ name: 'hand', content })
			.onConflict((conflict) => conflict.column('name').doUpdateSet({ content }))
			.execute();
	}

	/** Language of the names on pages as a BCP 47 tag, where the person chose one. */
	async language(): Promise<string | undefined> {
		const row = await this.db
			.selectFrom('setting')
			.select('content')
			.where('name', '=', 'language')
			.executeTakeFirst();
		return row?.content || undefined;
	}

	/** Chooses a language, or with an empty one leaves it to the browser. */
	async setLanguage(content: string): Promise<void> {
		await this.db
			.insertInto('setting')
			.values({ name: 'language', content })
			.onConflict((conflict) => conflict.column('name').doUpdateSet({ content }))
			.execute();
	}

	async printers(): Promise<Printer[]> {
		const rows = await this.db.selectFrom('printer').selectAll().orderBy('name').execute();
		return rows.map((row) => ({
			id: row.id,
			name: row.name,
			acrossMm: row.across_mm,
			downMm: row.down_mm
		}));
	}

	/** Keeps a printer's bars under its name; measuring it again replaces what was kept. */
	async setPrinter(name: string, { acrossMm, downMm }: PrintedBars): Promise<void> {
		const bars = { across_mm: acrossMm, down_mm: downMm };
		await this.db
			.insertInto('printer')
			.values({ id: newId(), name, ...bars })
			.onConflict((conflict) => conflict.column('name').doUpdateSet(bars))
			.execute();
	}

	async removePrinter(id: string): Promise<void> {
		await this.db.deleteFrom('printer').where('id', '=', id).execute();
	}
}
