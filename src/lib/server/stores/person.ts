import {
	bankSchema,
	outsideSchema,
	handSchema,
	makingSchema,
	readJson,
	yearlySchema
} from '$lib/core/formats';
import { noBank, type BankKnown } from '$lib/core/records';
import type { Yearly } from '$lib/core/next';
import { usualMaking, type MakingSettings } from '$lib/core/making';
import { defaultHand, type Hand } from '$lib/core/hand';
import type { PrintedBars } from '$lib/core/paper';
import type { Db } from '../keep/database';
import { newId, writing } from '../keep/write';

/** A printer and how true it prints. */
export interface Printer extends PrintedBars {
	readonly id: string;
	readonly name: string;
}

/** Addresses of devices and services on this machine or network that have answered. */
export interface Outside {
	readonly band?: string;
	readonly calendar?: string;
	readonly printer?: string;
}

/** What is kept of the person: the measured hand, how they work, and the printers they print with. */
export class PersonStore {
	constructor(private readonly db: Db) {}

	/** The measured hand, or the usual one until it is measured. */
	async hand(): Promise<Hand> {
		const kept = await this.setting('hand');
		const hand = kept === undefined ? undefined : readJson(handSchema, kept);
		return hand?.ok ? hand.value : defaultHand;
	}

	setHand(hand: Hand): Promise<void> {
		return this.keep('hand', JSON.stringify(hand));
	}

	/** How the person works, or the usual way until they say. */
	async making(): Promise<MakingSettings> {
		const kept = await this.setting('making');
		const making = kept === undefined ? undefined : readJson(makingSchema, kept);
		return making?.ok ? making.value : usualMaking;
	}

	/** What comes every year. */
	async yearly(): Promise<readonly Yearly[]> {
		const kept = await this.setting('yearly');
		const read = kept === undefined ? undefined : readJson(yearlySchema, kept);
		return read?.ok ? read.value.yearly : [];
	}

	setYearly(yearly: readonly Yearly[]): Promise<void> {
		return this.keep('yearly', JSON.stringify({ yearly }));
	}

	/** What is known of the person’s banks. */
	async bank(): Promise<BankKnown> {
		const kept = await this.setting('bank');
		const read = kept === undefined ? undefined : readJson(bankSchema, kept);
		return read?.ok ? read.value : noBank;
	}

	setBank(bank: BankKnown): Promise<void> {
		return this.keep('bank', JSON.stringify(bank));
	}

	/** Addresses that have answered. */
	async outside(): Promise<Outside> {
		const kept = await this.setting('outside');
		const read = kept === undefined ? undefined : readJson(outsideSchema, kept);
		return read?.ok ? read.value : {};
	}

	setOutside(addresses: Outside): Promise<void> {
		return this.keep('outside', JSON.stringify(addresses));
	}

	setMaking(making: MakingSettings): Promise<void> {
		return this.keep('making', JSON.stringify(making));
	}

	/** Language of the names on pages as a BCP 47 tag, where the person chose one. */
	async language(): Promise<string | undefined> {
		return (await this.setting('language')) || undefined;
	}

	/** Chooses a language, or with an empty one leaves it to the browser. */
	setLanguage(language: string): Promise<void> {
		return this.keep('language', language);
	}

	private async setting(name: string): Promise<string | undefined> {
		const row = await this.db
			.selectFrom('setting')
			.select('content')
			.where('name', '=', name)
			.executeTakeFirst();
		return row?.content;
	}

	private async keep(name: string, content: string): Promise<void> {
		await writing(this.db, (tx) =>
			tx
				.insertInto('setting')
				.values({ name, content })
				.onConflict((conflict) => conflict.column('name').doUpdateSet({ content }))
				.execute()
		);
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
		await writing(this.db, (tx) =>
			tx
				.insertInto('printer')
				.values({ id: newId(), name, ...bars })
				.onConflict((conflict) => conflict.column('name').doUpdateSet(bars))
				.execute()
		);
	}

	async removePrinter(id: string): Promise<void> {
		await writing(this.db, (tx) => tx.deleteFrom('printer').where('id', '=', id).execute());
	}
}
