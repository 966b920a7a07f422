import type { Readable } from 'node:stream';
import { packShelf, type DrawnFile } from '../archive/pack';
import type { Left } from '../archive/readable';
import {
	compareBrought,
	takeBrought,
	withBrought,
	type Compared,
	type WayIn
} from '../archive/take';
import { openDatabase, type Db, type OpenDatabase } from '../keep/database';
import { Devices } from '../stores/devices';
import { type SetAside } from '../keep/kept';
import { movePhotographs, photographsBeside } from '../keep/photograph-files';
import { Makings } from '../stores/makings';
import { MonthPasts } from '../stores/month-pasts';
import { Months } from '../stores/months';
import { MonthSets } from '../stores/month-sets';
import { Notebooks } from '../stores/notebooks';
import { OwnFonts } from '../stores/own-fonts';
import { OwnKinds } from '../stores/own-kinds';
import { Photographs } from '../stores/photographs';
import { Records } from '../stores/records';
import { PersonStore } from '../stores/person';
import { writing } from '../keep/write';

/** Everything that is kept. */
export interface Shelf {
	readonly notebooks: Notebooks;
	readonly months: Months;
	readonly pasts: MonthPasts;
	readonly sets: MonthSets;
	readonly makings: Makings;
	readonly records: Records;
	readonly photographs: Photographs;
	readonly person: PersonStore;
	readonly kinds: OwnKinds;
	readonly fonts: OwnFonts;
}

/** Everything that is kept, over one database file. */
export interface Store extends Shelf {
	readonly devices: Devices;
	/** Where the files of photographs lie. */
	readonly photographFolder: string;
	/** Does several writes, all of them or none. */
	readonly together: <T>(work: (shelf: Shelf) => Promise<T>) => Promise<T>;
	/**
	 * Everything that is kept as the bytes of a ZIP, read as they are taken: nothing may change meanwhile. Photographs come
	 * from the folder beside the database, or another one.
	 */
	readonly packed: (drawn?: AsyncIterable<DrawnFile>, photographs?: string) => Readable;
	/** How another database, all of which can be read, stands to this one. */
	readonly compare: (path: string) => Promise<Compared[]>;
	/**
	 * Takes another database in, all of it or nothing; `left` is what could not be read of it.
	 * @throws ShelfFault where it breaks a rule of the tables.
	 */
	readonly take: (path: string, way: WayIn, left?: readonly Left[]) => Promise<void>;
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
	const photographFolder = photographsBeside(path);
	return {
		...shelf,
		devices: new Devices(db),
		photographFolder,
		together: (work) => writing(db, (transaction) => work(shelfOn(transaction))),
		packed: (drawn, photographs = photographFolder) => packShelf(db, photographs, drawn),
		compare: (path) => withBrought(db, path, compareBrought),
		take: async (from, way, left = []) => {
			movePhotographs(photographsBeside(from), photographFolder);
			await withBrought(db, from, (connection) =>
				writing(connection, (tx) => takeBrought(tx, way, left))
			).catch((error: unknown) => {
				throw isConstraint(error) ? new ShelfFault(String(error)) : error;
			});
		},
		copyTo,
		setAside: () => setAsideOf(shelf),
		close
	};
}

/** Something that was brought in cannot be kept here. */
export class ShelfFault extends Error {
	override readonly name = 'ShelfFault';
}

function isConstraint(error: unknown): boolean {
	return (
		error instanceof Error && 'code' in error && String(error.code).startsWith('SQLITE_CONSTRAINT')
	);
}

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
		photographs: new Photographs(db),
		person: new PersonStore(db),
		kinds: new OwnKinds(db),
		fonts: new OwnFonts(db)
	};
}
