import { crc32 } from 'node:zlib';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { ArchiveFault } from './json-rows';

/** What an archive may hold of ours when it is unpacked, in all. */
const mostUnpacked = 4 * 1024 ** 3;
/** Far more parts than years of months make. */
const mostParts = 200_000;

/** An open ZIP file: the parts of it that are wanted, by their paths. */
export interface OpenZip {
	readonly paths: readonly string[];
	/**
	 * The bytes of a part as they come; whoever reads to its end knows that it is as it was packed.
	 * @throws ArchiveFault where it is not there or damaged.
	 */
	readonly bytes: (path: string) => AsyncGenerator<Uint8Array>;
	readonly close: () => void;
}

/**
 * Opens a ZIP file on the disk.
 * @throws ArchiveFault where it is none, or holds too much.
 */
export async function openZip(file: string, wanted: (path: string) => boolean): Promise<OpenZip> {
	const zip = await opened(file);
	try {
		const entries = await entriesOf(zip, wanted);
		return {
			paths: [...entries.keys()],
			async *bytes(path) {
				const entry = entries.get(path);
				if (!entry) throw new ArchiveFault(path, 'is missing');
				let sum = 0;
				try {
					for await (const chunk of await zip.openReadStreamPromise(entry)) {
						const bytes: Uint8Array = chunk;
						sum = crc32(bytes, sum);
						yield bytes;
					}
				} catch (error) {
					if (error instanceof ArchiveFault) throw error;
					throw new ArchiveFault(path, 'is damaged: it cannot be unpacked');
				}
				// CRC-32 as the ZIP format has it (APPNOTE 4.4.7): most flipped bits unpack to something else without a word.
				if (sum !== entry.crc32)
					throw new ArchiveFault(
						path,
						'is damaged: it is not what was packed (its CRC-32 differs)'
					);
			},
			close: () => zip.close()
		};
	} catch (error) {
		zip.close();
		throw error;
	}
}

async function opened(file: string): Promise<ZipFile> {
	try {
		return await openPromise(file, { lazyEntries: true, autoClose: false });
	} catch {
		throw unreadable();
	}
}

const unreadable = () => new ArchiveFault('file', 'is no ZIP file that can be read');

/** Files that are looked at; what else stands in the archive is left packed. */
async function entriesOf(
	zip: ZipFile,
	wanted: (path: string) => boolean
): Promise<Map<string, Entry>> {
	const entries = new Map<string, Entry>();
	const refused = (message: string) => new ArchiveFault('file', message);
	if (zip.entryCount > mostParts) throw refused(`holds more than ${mostParts} files`);
	let sum = 0;
	try {
		for await (const entry of zip.eachEntry()) {
			if (!wanted(entry.fileName)) continue;
			sum += entry.uncompressedSize;
			if (sum > mostUnpacked) throw refused('is too large when it is unpacked');
			if (entries.has(entry.fileName)) throw refused(`holds ${entry.fileName} twice`);
			entries.set(entry.fileName, entry);
		}
	} catch (error) {
		throw error instanceof ArchiveFault ? error : unreadable();
	}
	return entries;
}
