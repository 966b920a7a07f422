import { existsSync, readdirSync, rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';

/** Files of a database's own process that are not finished: they end so, and with what is put beside them. */
const unfinished = /\.(\d+)\.part(-wal|-shm|-journal|\.photographs)?$/;

/** The name under which a file is made that is to be whole or not there at all. */
export function partOf(path: string): string {
	return `${path}.${process.pid}.part`;
}

/** A name for a file that is needed for a while, beside a database. */
export function partBeside(database: string): string {
	const folder = database === ':memory:' ? tmpdir() : dirname(database);
	const name = database === ':memory:' ? 'horarium' : basename(database);
	return partOf(join(folder, `${name}.${randomUUID()}`));
}

/** Takes a file away, with what was put beside it. */
export function removePart(path: string): void {
	for (const end of ['', '-wal', '-shm', '-journal', '.photographs'])
		rmSync(path + end, { force: true, recursive: true });
}

/** Clears what processes that are gone have left unfinished in folders: a kill or a full disk leaves such files. */
export function clearParts(folders: readonly string[], database: string): void {
	for (const folder of folders.filter(existsSync))
		for (const file of readdirSync(folder)) {
			const pid = unfinished.exec(file)?.[1];
			const ours = file.startsWith(basename(database)) || folder !== dirname(database);
			if (pid && ours && !isAlive(Number(pid)))
				rmSync(join(folder, file), { force: true, recursive: true });
		}
}

function isAlive(pid: number): boolean {
	if (pid === process.pid) return false;
	try {
		process.kill(pid, 0);
		return true;
	} catch (error) {
		// It is there and belongs to somebody else.
		return error instanceof Error && 'code' in error && error.code === 'EPERM';
	}
}
