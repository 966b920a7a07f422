import { changesSchema, checked } from '$lib/core/formats';
import { openDatabase, type Db, type OpenDatabase } from './database';
import { Devices } from './devices';
import { dumpOf, writeDump, type Dump, type Row, type WayIn } from './dump';
import { reasonOf, type SetAside } from './kept';
import { Makings } from './makings';
import { MonthPasts } from './month-pasts';
import { Months } from './months';
import { MonthSets } from './month-sets';
import { Notebooks } from './notebooks';
import { OwnFonts } from './own-fonts';
import { OwnKinds } from './own-kinds';
import { Records } from './records';
import { PersonStore } from './person';
import { writing } from './write';

/** Everything that is kept. */
export interface Shelf {
	readonly notebooks: Notebooks;
	readonly months: Months;
	readonly pasts: MonthPasts;
	readonly sets: MonthSets;
	readonly makings: Makings;
	readonly records: Records;
	readonly person: PersonStore;
	readonly kinds: OwnKinds;
	readonly fonts: OwnFonts;
}

/** Everything that is kept, over one database file. */
export interface Store extends Shelf {
	readonly devices: Devices;
	/** Does several writes, all of them or none. */
	readonly together: <T>(work: (shelf: Shelf) => Promise<T>) => Promise<T>;
	/** Everything that is kept, row by row. */
	readonly dump: () => Promise<Dump>;
	/**
	 * Takes rows in, all of them or none.
	 * @throws ShelfFault where something of them cannot be read here.
	 */
	readonly take: (dump: Dump, way: WayIn) => Promise<void>;
	readonly copyTo: OpenDatabase['copyTo'];
	/** What is in the file and cannot be read. */
	readonly setAside: () => Promise<SetAside[]>;
	/** Puts everything into the one file and closes it, at once. */
	readonly close: () => void;
}

/**
 * Opens the file, brings it to the newest version, and gives access to what it holds.
 * @throws DatabaseTrouble with one sentence when the file cannot be used.
 */
export async function openStore(path: string): Promise<Store> {
	const { db, close, copyTo } = await openDatabase(path);
	const shelf = shelfOn(db);
	return {
		...shelf,
		devices: new Devices(db),
		together: (work) => writing(db, (transaction) => work(shelfOn(transaction))),
		dump: () => dumpOf(db),
		take: (dump, way) =>
			writing(db, async (tx) => {
				const inside = shelfOn(tx);
				const before = (await setAsideOf(inside)).map(({ id }) => id);
				const entries = checked(changesSchema, { changes: (dump.entry ?? []).map(asChange) });
				if (!entries.ok) throw new ShelfFault(`an entry: ${reasonOf(entries.faults)}`);
				await writeDump(tx, await dumpOf(tx), dump, way);
				const broken = (await setAsideOf(inside)).find(({ id }) => !before.includes(id));
				if (broken) throw new ShelfFault(`the ${broken.what} “${broken.name}”: ${broken.reason}`);
			}),
		copyTo,
		setAside: () => setAsideOf(shelf),
		close
	};
}

/** Something that was brought in cannot be read here. */
export class ShelfFault extends Error {
	override readonly name = 'ShelfFault';
}

const asChange = ({ wish, about, holds, value }: Row) => ({ wish, about, holds, value });

async function setAsideOf(shelf: Shelf): Promise<SetAside[]> {
	return [
		...(await shelf.notebooks.setAside()),
		...(await shelf.months.setAside()),
		...(await shelf.kinds.setAside()),
		...(await shelf.sets.setAside())
	];
}

function shelfOn(db: Db): Shelf {
	return {
		notebooks: new Notebooks(db),
		months: new Months(db),
		pasts: new MonthPasts(db),
		sets: new MonthSets(db),
		makings: new Makings(db),
		records: new Records(db),
		person: new PersonStore(db),
		kinds: new OwnKinds(db),
		fonts: new OwnFonts(db)
	};
}
