import { inflateSync } from 'node:zlib';

const headLength = 44;
const entryLength = 20;

/**
 * The font inside a WOFF file, unpacked (WOFF File Format 1.0, W3C 2012): a PDF would unpack it anew each time. Any other
 * file is given back as it is.
 */
export function sfntOf(file: Buffer<ArrayBuffer>): Buffer<ArrayBuffer> {
	if (file.toString('latin1', 0, 4) !== 'wOFF') return file;
	const count = file.readUInt16BE(12);
	const tables = Array.from({ length: count }, (_, index) => {
		const at = headLength + index * entryLength;
		const [offset, packed, length] = [4, 8, 12].map((place) => file.readUInt32BE(at + place));
		const content = file.subarray(offset, (offset ?? 0) + (packed ?? 0));
		return {
			tag: file.subarray(at, at + 4),
			checksum: file.subarray(at + 16, at + 20),
			// A table that would not become smaller is kept as it is.
			content: packed === length ? content : inflateSync(content)
		};
	});
	const largest = 2 ** Math.floor(Math.log2(count));
	const head = Buffer.alloc(12 + 16 * count);
	file.copy(head, 0, 4, 8);
	head.writeUInt16BE(count, 4);
	head.writeUInt16BE(16 * largest, 6);
	head.writeUInt16BE(Math.log2(largest), 8);
	head.writeUInt16BE(16 * (count - largest), 10);
	const parts: Buffer[] = [head];
	let end = head.length;
	tables.forEach(({ tag, checksum, content }, index) => {
		const at = 12 + 16 * index;
		tag.copy(head, at);
		checksum.copy(head, at + 4);
		head.writeUInt32BE(end, at + 8);
		head.writeUInt32BE(content.length, at + 12);
		// Tables begin at multiples of four bytes.
		const padding = Buffer.alloc((4 - (content.length % 4)) % 4);
		parts.push(content, padding);
		end += content.length + padding.length;
	});
	return Buffer.concat(parts);
}
