/** A picture of black and white dots as the printer has it: rows of whole bytes, 1 for black. */
interface Dots {
	readonly width: number;
	readonly height: number;
	readonly bits: Uint8Array;
}

const dotsPerMm = 8;
const tapeMm = 12;
const rollMm = 8000;
const across = tapeMm * dotsPerMm;
/** The printer shows so much of what came out last. */
const shownMm = 1000;

let leftMm = rollMm;
let printed: readonly Dots[] = [];

/** How the printer is. */
export function printerStatus({ jammed }: { readonly jammed: boolean }) {
	const state = jammed ? 'jammed' : leftMm <= 0 ? 'out of tape' : 'ready';
	return { device: 'label printer', state, tapeMm, leftMm: Math.max(0, leftMm) };
}

/** Puts a roll in: a new one, or one that ends after some millimetres. */
export function putTapeIn(lengthMm = rollMm): void {
	leftMm = lengthMm;
	if (lengthMm === rollMm) printed = [];
}

/**
 * Prints a portable bitmap (Netpbm “P4”) along the tape and cuts it off; “no bitmap” also where it is higher than the tape is
 * wide. A label that the tape is too short for is not begun.
 */
export function printPicture(file: Uint8Array): 'printed' | 'no tape' | 'no bitmap' {
	const text = Buffer.from(file.subarray(0, 64)).toString('latin1');
	const head = /^P4\s+(\d{1,6})\s+(\d{1,3})\s/.exec(text);
	if (!head) return 'no bitmap';
	const [width, height] = [Number(head[1]), Number(head[2])];
	const bits = file.slice(head[0].length);
	if (height > across || bits.length !== Math.ceil(width / 8) * height) return 'no bitmap';
	const length = width / dotsPerMm;
	if (length > leftMm) {
		leftMm = 0;
		return 'no tape';
	}
	leftMm -= length;
	printed = [...printed, { width, height, bits }];
	return 'printed';
}

/** What came out last, as an SVG at true size: the tape, its labels in the middle of it, and where it was cut. */
export function printedTape(): string {
	let width = 0;
	const shown: Dots[] = [];
	for (const picture of [...printed].reverse()) {
		if ((width + picture.width) / dotsPerMm > shownMm) break;
		shown.unshift(picture);
		width += picture.width;
	}
	const parts: string[] = [];
	const cuts: string[] = [];
	let x = 0;
	for (const { width, height, bits } of shown) {
		const top = Math.floor((across - height) / 2);
		for (let row = 0; row < height; row++) {
			let begin = -1;
			for (let dot = 0; dot <= width; dot++) {
				const byte = bits[row * Math.ceil(width / 8) + (dot >> 3)] ?? 0;
				const black = dot < width && ((byte << (dot & 7)) & 0x80) !== 0;
				if (black && begin < 0) begin = dot;
				if (black || begin < 0) continue;
				parts.push(`M${x + begin} ${top + row + 0.5}h${dot - begin}`);
				begin = -1;
			}
		}
		x += width;
		cuts.push(`M${x} 0v${across}`);
	}
	const size = `width="${Math.max(1, width) / dotsPerMm}mm" height="${tapeMm}mm" viewBox="0 0 ${Math.max(1, width)} ${across}"`;
	return `<svg xmlns="http://www.w3.org/2000/svg" ${size}><rect width="100%" height="100%" fill="#fff"/><path stroke="#000" d="${parts.join('')}"/><path stroke="#888" stroke-width="2" d="${cuts.join('')}"/></svg>`;
}
