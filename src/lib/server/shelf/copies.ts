import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { clearParts } from '../keep/part-files';
import { clearPhotographs, photographsBeside } from '../keep/photograph-files';
import type { Store } from './store';

/** So many copies of days are kept; the oldest goes when a new one comes. */
export const mostCopies = 7;
/** Copies made before a change are kept so long, in days, and so many of them however old they are. */
const daysOfBefore = 30;
const leastBefore = 3;
const hourMs = 3_600_000;
const dayMs = 24 * hourMs;
const named = /^(\d{4}-\d{2}-\d{2})(?:( \d{2}\.\d{2}\.\d{2}(?:-\d+)?)? before)?\.db$/;

/** A copy of the database that lies beside it. */
export interface Copy {
	readonly file: string;
	/** The day on which it was made. */
	readonly day: string;
	/** The time of day, such as 14:05:09, where it was made before a change. */
	readonly time: string;
	/** It was made before something was brought in. */
	readonly before: boolean;
	/** It is dated after today: this machine's clock was wrong then, and nobody knows how old it is. */
	readonly wrongClock: boolean;
	readonly bytes: number;
}

/** The file that everything is kept in. */
export function databasePath(): string {
	return process.env.HORARIUM_DB ?? 'data/horarium.db';
}

const folderOf = (database: string) => `${database}.copies`;

/** Copies of a database, the latest first, those of a wrong clock last. */
export function copiesOf(database: string, now = new Date()): Copy[] {
	const folder = folderOf(database);
	if (database === ':memory:' || !existsSync(folder)) return [];
	return readdirSync(folder)
		.flatMap((file): Copy[] => {
			const found = named.exec(file);
			const day = found?.[1];
			if (!day) return [];
			const time = (found[2] ?? '').trim().replaceAll('.', ':');
			const before = file.endsWith(' before.db');
			const { size } = statSync(join(folder, file));
			return [{ file, day, time, before, wrongClock: day > today(now), bytes: size }];
		})
		.sort(
			(a, b) =>
				Number(a.wrongClock) - Number(b.wrongClock) ||
				b.day.localeCompare(a.day) ||
				Number(b.before) - Number(a.before) ||
				b.time.localeCompare(a.time, undefined, { numeric: true })
		);
}

/** Those of some copies, the latest first, that are not kept any longer. */
export function outdated(copies: readonly Copy[], now: Date): Copy[] {
	const oldest = today(new Date(now.getTime() - daysOfBefore * dayMs));
	const ofDays = copies.filter(({ before }) => !before);
	const ofChanges = copies.filter(({ before }) => before);
	return [
		...ofDays.slice(mostCopies),
		...ofChanges.slice(leastBefore).filter(({ day, wrongClock }) => wrongClock || day < oldest)
	];
}

/** The path of a copy by its name; undefined where there is none. */
export function copyPath(database: string, file: string): string | undefined {
	return copiesOf(database).some((copy) => copy.file === file)
		? join(folderOf(database), file)
		: undefined;
}

/** Copies the database beside it as that of a day, where there is none of that day yet. */
export async function copyOfDay(
	store: Pick<Store, 'copyTo'>,
	database: string,
	now = new Date()
): Promise<void> {
	if (database === ':memory:') return;
	const path = join(madeFolder(database), `${today(now)}.db`);
	if (!existsSync(path)) await store.copyTo(path);
	letGo(database, now);
}

/** Copies the database beside it as it is before something is brought in, under a name of its own. */
export async function copyBefore(
	store: Pick<Store, 'copyTo'>,
	database: string,
	now = new Date()
): Promise<void> {
	if (database === ':memory:') return;
	const two = (value: number) => String(value).padStart(2, '0');
	const time = [now.getHours(), now.getMinutes(), now.getSeconds()].map(two).join('.');
	const pathOf = (count: number) =>
		join(madeFolder(database), `${today(now)} ${time}${count > 1 ? `-${count}` : ''} before.db`);
	let count = 1;
	while (existsSync(pathOf(count))) count++;
	await store.copyTo(pathOf(count));
	letGo(database, now);
}

function madeFolder(database: string): string {
	const folder = folderOf(database);
	mkdirSync(folder, { recursive: true });
	return folder;
}

function letGo(database: string, now: Date): void {
	for (const { file } of outdated(copiesOf(database, now), now))
		rmSync(join(folderOf(database), file), { force: true });
}

/** Clears what kills and full disks have left unfinished beside a database and among its copies and photographs. */
export function clearUnfinished(database: string): void {
	if (database !== ':memory:')
		clearParts([dirname(database), folderOf(database), photographsBeside(database)], database);
}

/** What was deleted can be brought back for so many days. */
const daysOfDeleted = 30;

/** Forgets photographs that were deleted long ago, and takes away files that no photograph has needed since. */
export async function clearForgotten(
	{ photographs, photographFolder }: Pick<Store, 'photographs' | 'photographFolder'>,
	now = new Date()
): Promise<void> {
	const before = new Date(now.getTime() - daysOfDeleted * dayMs);
	clearPhotographs(photographFolder, await photographs.forget(before), before);
}

/** The day on this machine's clock, such as 2027-05-03. */
export function today(date = new Date()): string {
	const two = (value: number) => String(value).padStart(2, '0');
	return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** Makes a copy a day for as long as the program runs, the first one at once; a copy that fails is tried an hour later. */
export function copyNightly(store: Pick<Store, 'copyTo'>, database: string): () => void {
	const copy = () => {
		void copyOfDay(store, database).catch((error: unknown) =>
			console.error('The copy of the database could not be made:', error)
		);
	};
	copy();
	const timer = setInterval(copy, hourMs).unref();
	return () => clearInterval(timer);
}
