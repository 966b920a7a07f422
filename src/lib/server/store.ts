import { openDatabase, type Db } from './database';
import type { SetAside } from './kept';
import { Makings } from './makings';
import { Months } from './months';
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
	readonly makings: Makings;
	readonly records: Records;
	readonly person: PersonStore;
	readonly kinds: OwnKinds;
	readonly fonts: OwnFonts;
}

/** Everything that is kept, over one database file. */
export interface Store extends Shelf {
	/** Does several writes, all of them or none. */
	readonly together: <T>(work: (shelf: Shelf) => Promise<T>) => Promise<T>;
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
	const { db, close } = await openDatabase(path);
	const shelf = shelfOn(db);
	return {
		...shelf,
		together: (work) => writing(db, (transaction) => work(shelfOn(transaction))),
		setAside: async () => [
			...(await shelf.notebooks.setAside()),
			...(await shelf.months.setAside()),
			...(await shelf.kinds.setAside())
		],
		close
	};
}

function shelfOn(db: Db): Shelf {
	return {
		notebooks: new Notebooks(db),
		months: new Months(db),
		makings: new Makings(db),
		records: new Records(db),
		person: new PersonStore(db),
		kinds: new OwnKinds(db),
		fonts: new OwnFonts(db)
	};
}
