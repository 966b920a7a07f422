import { migrate, openDatabase, type Db } from './database';
import { Months } from './months';
import { Notebooks } from './notebooks';
import { OwnKinds } from './own-kinds';
import { PersonStore } from './person';

/** Everything that is kept, over one database file. */
export interface Store {
	readonly notebooks: Notebooks;
	readonly months: Months;
	readonly person: PersonStore;
	readonly kinds: OwnKinds;
	readonly close: () => Promise<void>;
}

/** Opens the file, brings it to the newest version, and gives access to what it holds. */
export async function openStore(file: string): Promise<Store> {
	const db: Db = openDatabase(file);
	await migrate(db);
	return {
		notebooks: new Notebooks(db),
		months: new Months(db),
		person: new PersonStore(db),
		kinds: new OwnKinds(db),
		close: () => db.destroy()
	};
}
