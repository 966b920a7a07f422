import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { SheetFile } from './sheet-files';

/**
 * Fetches files one after another into a ZIP, and tells how many it has before each. Ends with an AbortError
 * when `signal` says so, and with an Error that names the file when one is refused.
 */
export async function archive(
	files: readonly SheetFile[],
	signal: AbortSignal,
	progress: (done: number) => void
): Promise<Blob> {
	const chunks: BlobPart[] = [];
	const zip = new Zip((fault, chunk) => {
		if (fault) throw fault;
		chunks.push(new Uint8Array(chunk));
	});
	for (const [index, { name, address }] of files.entries()) {
		progress(index);
		const answer = await fetch(address, { signal });
		if (!answer.ok) throw new Error(`“${name}” could not be drawn. Try again.`);
		const content = new Uint8Array(await answer.arrayBuffer());
		// Pictures and PDFs are compressed already.
		const entry = /\.(svg|json)$/.test(name) ? new ZipDeflate(name) : new ZipPassThrough(name);
		zip.add(entry);
		entry.push(content, true);
	}
	zip.end();
	return new Blob(chunks, { type: 'application/zip' });
}

/** Has the browser save something as a file. */
export function saveFile(content: Blob, name = 'horarium.zip'): void {
	const link = document.createElement('a');
	link.href = URL.createObjectURL(content);
	link.download = name;
	link.click();
	URL.revokeObjectURL(link.href);
}
