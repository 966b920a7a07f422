import { load } from 'exifreader';

type Tag = { readonly value: unknown } | undefined;
interface Density {
	readonly across: Tag;
	readonly down: Tag;
	/** Mm in the unit that they are told by; undefined where it is none. */
	readonly unitMm: number | undefined;
}

/** Units by their number: in JFIF (Exif 2.32 and ITU-T T.871, from memory), in Exif, and in PNG's pHYs. */
const unitsMm = {
	jfif: new Map([
		[1, 25.4],
		[2, 10]
	]),
	exif: new Map([
		[2, 25.4],
		[3, 10]
	]),
	png: new Map([[1, 1000]])
};

/**
 * Pixels in a mm that a scan says of itself (JPEG: JFIF or Exif density; PNG: pHYs); undefined where it says nothing, or not
 * the same across and down. A telephone writes some number too: it is believed only where a side of the paper agrees.
 */
export async function resolutionOf(file: Blob): Promise<number | undefined> {
	for (const { across, down, unitMm } of await densities(file)) {
		const [wide, high] = [numberOf(across), numberOf(down)];
		if (wide && wide === high && unitMm) return wide / unitMm;
	}
	return undefined;
}

async function densities(file: Blob): Promise<readonly Density[]> {
	try {
		const { exif, jfif, png } = load(await file.arrayBuffer(), { expanded: true });
		const unit = (of: ReadonlyMap<number, number>, tag: Tag) => of.get(numberOf(tag) ?? 0);
		return [
			{
				across: png?.['Pixels Per Unit X'],
				down: png?.['Pixels Per Unit Y'],
				unitMm: unit(unitsMm.png, png?.['Pixel Units'])
			},
			{
				across: jfif?.XResolution,
				down: jfif?.YResolution,
				unitMm: unit(unitsMm.jfif, jfif?.['Resolution Unit'])
			},
			{
				across: exif?.XResolution,
				down: exif?.YResolution,
				unitMm: unit(unitsMm.exif, exif?.ResolutionUnit)
			}
		];
	} catch {
		// A file without any such part is as good as one that does not say.
		return [];
	}
}

/** A number, or a fraction as [numerator, denominator]. */
function numberOf(tag: Tag): number | undefined {
	const value = tag?.value;
	if (typeof value === 'number') return value;
	if (!Array.isArray(value)) return undefined;
	const [numerator, denominator]: unknown[] = value;
	return typeof numerator === 'number' && typeof denominator === 'number'
		? numerator / denominator
		: undefined;
}
