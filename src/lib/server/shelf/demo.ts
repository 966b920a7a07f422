import { changesSchema, checked, keptMonth, planSchema } from '$lib/core/formats';
import { subjectKey, type Holds } from '$lib/core/draw';
import type { Change } from '$lib/core/records';
import page100 from '../../../../demo/april-100.jpg?inline';
import page98 from '../../../../demo/april-98.jpg?inline';
import april from '../../../../demo/april.json';
import march from '../../../../demo/march.json';
import may from '../../../../demo/month.json';
import records from '../../../../demo/records.json';
import { keepPhotograph } from '../keep/photograph-files';
import type { Store } from './store';

/** Two pages of April as a simulated camera took them. */
const photographs: Readonly<Record<string, readonly (readonly [page: number, picture: string])[]>> =
	{
		'2027-04': [
			[98, page98],
			[100, page100]
		]
	};

/**
 * Puts the demo data into a database that holds no notebook yet: the recorded months March and April in one book, and May,
 * planned and kept to the 9th, in the next. Two of April's pages come as photographs.
 */
export async function loadDemo(store: Store): Promise<void> {
	const documents = [march, april, may].map((one) => {
		const document = checked(planSchema, one);
		if (!document.ok)
			throw new Error(`a demo month has faults: ${JSON.stringify(document.faults)}`);
		return document.value;
	});
	await store.together(async (shelf) => {
		// Two programs may start on one file.
		if ((await shelf.notebooks.all()).length > 0) return;
		const books = new Map<string, string>();
		for (const document of documents) {
			const { notebook, month } = document;
			const notebookId = books.get(notebook.name) ?? (await shelf.notebooks.create(notebook)).id;
			books.set(notebook.name, notebookId);
			const { id } = await shelf.months.create({ ...keptMonth(document), notebookId });
			const kept = Object.entries(records).find(([name]) => name === month)?.[1] ?? [];
			await shelf.records.change(id, kept.flatMap(entriesIn));
			for (const [page, picture] of photographs[month] ?? []) {
				const bytes = Buffer.from(picture.slice(picture.indexOf(',') + 1), 'base64');
				const file = keepPhotograph(store.photographFolder, bytes);
				if (file) await shelf.photographs.add(id, page, file);
			}
		}
	});
}

/** Entries of a tracker as the demo writes them down: signs or values by day, rows, or one value. */
interface Written {
	readonly wish: string;
	readonly holds?: string;
	readonly signs?: Readonly<Record<string, string | undefined>>;
	readonly days?: readonly string[];
	readonly columns?: readonly string[];
	readonly holdsOf?: readonly string[];
	readonly rows?: readonly (readonly string[])[];
	readonly value?: string;
}

function entriesIn(written: Written): Change[] {
	const { wish, signs = {}, days = [], columns = [], holdsOf = [], rows = [], value } = written;
	const entry = (about: string, value: string, holds = written.holds) => ({
		wish,
		about,
		holds,
		value
	});
	const found = [
		...Object.entries(signs).flatMap(([item, text = '']) =>
			[...text].map((sign, at) =>
				entry(
					subjectKey({ ...(item === '' ? {} : { item }), day: at + 1 }),
					sign === '.' ? '' : sign
				)
			)
		),
		...days.map((text, at) => entry(subjectKey({ day: at + 1 }), text)),
		...rows.flatMap((cells, row) =>
			cells.map((text, at) =>
				entry(subjectKey({ row: row + 1, column: columns[at] ?? '' }), text, holdsOf[at])
			)
		),
		...(value === undefined ? [] : [entry('', value)])
	].filter((one) => one.value !== '');
	const read = checked(changesSchema, { changes: found });
	if (!read.ok) throw new Error(`the demo's records have faults: ${JSON.stringify(read.faults)}`);
	return read.value.changes.map(({ wish, about, holds, value }): Change => ({
		wish,
		about,
		holds: holds satisfies Holds,
		value
	}));
}
