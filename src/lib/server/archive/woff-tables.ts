import { inflateSync } from 'node:zlib';

/** Bytes of the header, and of a table's entry in the directory after it. */
const headerBytes = 44;
const entryBytes = 20;
/** More than this no table of a font holds. */
const mostTableBytes = 32 * 1024 * 1024;

/**
 * Whether all tables of a WOFF file lie in it and can be inflated to the length they are said to have (W3C, WOFF File
 * Format 1.0, sections 3 to 5). The library that reads fonts trusts them, and turns round and round in one that is damaged.
 */
export function hasWholeTables(file: Uint8Array): boolean {
	if (file.byteLength < headerBytes) return false;
	const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
	const count = view.getUint16(12);
	if (headerBytes + count * entryBytes > file.byteLength) return false;
	return Array.from({ length: count }, (_, index) => headerBytes + index * entryBytes).every(
		(entry) => {
			const [offset, packed, length] = [4, 8, 12].map((at) => view.getUint32(entry + at));
			if (offset === undefined || packed === undefined || length === undefined) return false;
			if (packed > length || length > mostTableBytes || offset + packed > file.byteLength)
				return false;
			return packed === length || inflates(file.subarray(offset, offset + packed), length);
		}
	);
}

function inflates(packed: Uint8Array, length: number): boolean {
	if (length === 0) return false;
	try {
		return inflateSync(packed, { maxOutputLength: length }).byteLength === length;
	} catch {
		return false;
	}
}
