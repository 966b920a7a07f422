/** A row that is longer than this is none of ours, in characters. */
const mostCharacters = 64 * 1024 * 1024;

/** Something is wrong with an archive: where, and what. */
export class ArchiveFault extends Error {
	override readonly name = 'ArchiveFault';

	constructor(
		readonly path: string,
		message: string
	) {
		super(message);
	}
}

/**
 * The entries of a JSON list, one by one as its bytes come in. Of ours, because a file may be hostile: the packages that read
 * JSON in portions say that they are not made for that. Each entry is read by `JSON.parse`; here only its end is found.
 * @throws ArchiveFault where it is no list.
 */
export async function* jsonRows(
	bytes: AsyncIterable<Uint8Array>,
	path: string
): AsyncGenerator<unknown> {
	const fault = (message: string) => new ArchiveFault(path, message);
	const decoder = new TextDecoder('utf-8', { fatal: true });
	const decoded = (chunk?: Uint8Array) => {
		try {
			return decoder.decode(chunk, { stream: chunk !== undefined });
		} catch {
			throw fault('is not UTF-8');
		}
	};
	const parsed = (text: string): unknown => {
		try {
			return JSON.parse(text);
		} catch {
			throw fault('must be a list of rows as JSON');
		}
	};
	const place: { state: 'before' | 'first' | 'row' | 'after' } = { state: 'before' };
	/** How deep the present place is inside the row, whether in a text, and whether after a backslash there. */
	let [depth, inText, escaped] = [0, false, false];
	let row = '';
	const rows: unknown[] = [];
	const take = (text: string, isLast: boolean) => {
		if (isLast && place.state === 'first' && text.trim() === '') return;
		rows.push(parsed(text));
	};
	const read = (text: string) => {
		let from = 0;
		for (let at = 0; at < text.length; at++) {
			const sign = text[at];
			if (inText) {
				if (escaped) escaped = false;
				else if (sign === '\\') escaped = true;
				else if (sign === '"') inText = false;
				continue;
			}
			if (place.state === 'before' || place.state === 'after') {
				if (/\s/.test(sign ?? '')) continue;
				if (place.state === 'after' || sign !== '[') throw fault('must be a list of rows as JSON');
				place.state = 'first';
				from = at + 1;
				continue;
			}
			if (sign === '"') inText = true;
			else if (sign === '{' || sign === '[') depth++;
			else if ((sign === '}' || sign === ']') && depth > 0) depth--;
			else if (depth === 0 && (sign === ',' || sign === ']')) {
				take(row + text.slice(from, at), sign === ']');
				row = '';
				from = at + 1;
				place.state = sign === ',' ? 'row' : 'after';
			}
		}
		if (place.state === 'first' || place.state === 'row') row += text.slice(from);
		if (row.length > mostCharacters) throw fault('has a row that is too long');
	};
	for await (const chunk of bytes) {
		read(decoded(chunk));
		yield* rows.splice(0);
	}
	read(decoded());
	yield* rows.splice(0);
	if (place.state !== 'after') throw fault('must be a list of rows as JSON');
}
