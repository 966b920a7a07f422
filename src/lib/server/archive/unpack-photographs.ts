import type { Db } from '../keep/database';
import {
	keepPhotograph,
	mostPhotographBytes,
	photographsBeside,
	type PhotographFile
} from '../keep/photograph-files';
import { ArchiveFault } from './json-rows';
import { photographPath } from './pack';
import type { Left } from './readable';
import type { OpenZip } from './zip-file';

/**
 * Lays the photographs of an archive beside the database that it was read into. One that is missing, damaged or other than its
 * row says is left out, with its row: it is only a picture.
 */
export async function unpackPhotographs(zip: OpenZip, db: Db, into: string): Promise<Left[]> {
	const left: Left[] = [];
	const folder = photographsBeside(into);
	const rows = await db.selectFrom('photograph').select(['id', 'page', 'hash', 'type']).execute();
	for (const { id, page, ...file } of rows) {
		const reason = await unpacked(zip, file, folder);
		if (!reason) continue;
		left.push({ what: 'photograph', id, name: `page ${page}`, reason });
		await db.deleteFrom('photograph').where('id', '=', id).execute();
	}
	return left;
}

/** Why a photograph could not be laid down; nothing where it was. */
async function unpacked(
	zip: OpenZip,
	{ hash, type }: PhotographFile,
	folder: string
): Promise<string | undefined> {
	const path = photographPath(hash);
	if (!zip.paths.includes(path)) return 'its picture is not in the file';
	const chunks: Uint8Array[] = [];
	let sum = 0;
	try {
		for await (const chunk of zip.bytes(path)) {
			sum += chunk.length;
			if (sum > mostPhotographBytes) return 'its picture is too large';
			chunks.push(chunk);
		}
	} catch (error) {
		if (error instanceof ArchiveFault) return 'its picture is damaged';
		throw error;
	}
	const kept = keepPhotograph(folder, Buffer.concat(chunks));
	return kept?.hash === hash && kept.type === type
		? undefined
		: 'its picture is another one than its row says';
}
