import type { Notebook, Side } from '$lib/core/paper';
import { farMarginMm, marginMm } from '$lib/core/paper';
import { drawnPage, usualHand } from './drawn-page';
import type { Sheet } from './paper-raster';
import { seeded } from './seeded';

/** How a simulated photograph is taken. Angles in degrees. */
export interface Shot {
	readonly side: Side;
	readonly seed: string;
	/** Pixels across; the picture is upright, three to four. */
	readonly width: number;
	/** Grey of the table, 0 black to 255 white. */
	readonly table: number;
	/** How far the camera leans sideways, and forwards; how far it is turned. */
	readonly lean: number;
	readonly nod: number;
	readonly turn: number;
	/** How much darker it is on the far side of the light, 0 to 1. */
	readonly shade: number;
	/** Spread of the noise, of 255. */
	readonly noise: number;
	/** Radius of a box blur, in pixels. */
	readonly blur: number;
	/** How high the paper rises at the fold, in mm. */
	readonly curl: number;
	/** Barrel of the lens: how much nearer the corners come, as a share. */
	readonly barrel: number;
	/** How much darker the shadow of a hand is, 0 to 1. */
	readonly handShadow?: number;
	/** A cloth on the table with lines of another grey, so many mm apart; checked ones run both ways. */
	readonly cloth?: { readonly everyMm: number; readonly grey: number; readonly checked: boolean };
	/** How strongly a lamp is mirrored, 0 to 1. */
	readonly glare?: number;
}

/** A raw picture, four bytes a pixel. */
export interface Photograph {
	readonly width: number;
	readonly height: number;
	readonly rgba: Uint8ClampedArray;
}

const otherPage = 242;
/** From the camera to the table, in page heights. */
const distance = 1.9;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * A photograph of a page as a telephone takes it: rays from the camera meet the table or the paper, which rises towards the
 * fold; a lens, light from one side, the shadow of a hand, glare, blur and noise. Of a page nothing is drawn on where no sheet
 * is given; with a `left` sheet both pages of the open spread are taken, lying across. Simulated; it shares nothing with what
 * reads it.
 */
export function photographed(
	notebook: Notebook,
	shot: Shot,
	sheet: Sheet = drawnPage(notebook, shot.side, [], [], usualHand),
	left?: Sheet
): Photograph {
	const { width: pageWidth, height: pageHeight } = notebook.pageMm;
	const [width, height] = [
		shot.width,
		Math.round(left ? (shot.width * 3) / 4 : (shot.width * 4) / 3)
	];
	const [across, middle] = left ? [2 * pageWidth, 0] : [pageWidth, pageWidth / 2];
	const picture = new Float32Array(3 * width * height);
	const away = distance * pageHeight;
	// The page fills most of the picture, whichever way it is the fuller.
	const focal = Math.min((0.8 * height) / pageHeight, (0.8 * width) / across) * away;
	const [cosTurn, sinTurn] = [Math.cos(radians(shot.turn)), Math.sin(radians(shot.turn))];
	const [tanLean, tanNod] = [Math.tan(radians(shot.lean)), Math.tan(radians(shot.nod))];
	const random = seeded(shot.seed);
	const lightSide = random() < 0.5 ? 1 : -1;
	const handAt = 0.2 + 0.5 * random();
	const glareAt = [0.25 + 0.5 * random(), 0.25 + 0.5 * random()] as const;
	const foldX = shot.side === 'left' ? pageWidth : 0;
	for (let row = 0; row < height; row++)
		for (let column = 0; column < width; column++) {
			const u = (column - width / 2) / focal;
			const v = (row - height / 2) / focal;
			const bulge = 1 + shot.barrel * ((u * u + v * v) * (away / pageHeight) ** 2);
			const [du, dv] = [u * bulge, v * bulge];
			const [rx, ry] = [du * cosTurn - dv * sinTurn, du * sinTurn + dv * cosTurn];
			// The table leans by the camera's angles: the ray is longer where it is further away.
			const reach = away / (1 - rx * tanLean - ry * tanNod);
			let x = rx * reach + middle;
			let y = ry * reach + pageHeight / 2;
			// What is higher is seen further out.
			const lift = shot.curl * Math.exp(-Math.abs(x - foldX) / 18);
			x -= rx * lift;
			y -= ry * lift;
			const [over, down] = [column / width, row / height];
			const hand = shot.handShadow && over + 0.4 * down > handAt + 0.4 ? 1 - shot.handShadow : 1;
			const light = (1 - shot.shade * (0.5 + (lightSide * u * focal) / width)) * hand;
			const far = Math.hypot(over - glareAt[0], (down - glareAt[1]) * 1.3);
			const glare = 255 * (shot.glare ?? 0) * Math.exp(-((far / 0.09) ** 2));
			const at = 3 * (row * width + column);
			for (let channel = 0; channel < 3; channel++)
				picture[at + channel] = light * seen(x, y, channel) + glare;
		}

	function seen(x: number, y: number, channel: number): number {
		const other = shot.side === 'left' ? x > pageWidth : x < 0;
		const off = shot.side === 'left' ? x < 0 : x > pageWidth;
		const reachOver = Math.abs(x - foldX) > pageWidth;
		if (y < 0 || y > pageHeight || off || (other && reachOver)) return tableAt(x, y);
		const fold = 1 - 0.35 * Math.exp(-Math.abs(x - foldX) / 2.5);
		if (!other) return fold * spot(sheet, x, y, channel);
		return fold * (left ? spot(left, x + pageWidth, y, channel) : otherPage);
	}

	function tableAt(x: number, y: number): number {
		const { cloth, table } = shot;
		if (!cloth) return table;
		const onLine = (along: number) =>
			Math.abs(along / cloth.everyMm - Math.round(along / cloth.everyMm)) < 0.09;
		return onLine(x) || (cloth.checked && onLine(y)) ? cloth.grey : table;
	}

	const soft = shot.blur > 0 ? boxed(picture, width, height, shot.blur) : picture;
	const rgba = new Uint8ClampedArray(4 * width * height);
	for (let at = 0; at < width * height; at++) {
		// The sum of four even numbers is near enough to a bell.
		const grain = shot.noise * (random() + random() + random() + random() - 2) * 1.7;
		for (const [channel, warm] of [1, 0.985, 0.95].entries())
			rgba[4 * at + channel] = ((soft[3 * at + channel] ?? 0) + grain) * warm;
		rgba[4 * at + 3] = 255;
	}
	return { width, height, rgba };
}

/** The light of a channel at a place of the sheet in mm, between its spots. */
function spot({ width, height, perMm, rgb }: Sheet, xMm: number, yMm: number, channel: number) {
	const [x, y] = [xMm * perMm, yMm * perMm];
	const left = Math.min(width - 2, Math.max(0, Math.floor(x)));
	const top = Math.min(height - 2, Math.max(0, Math.floor(y)));
	const [across, down] = [Math.min(1, x - left), Math.min(1, y - top)];
	const at = 3 * (top * width + left) + channel;
	const upper = (rgb[at] ?? 0) * (1 - across) + (rgb[at + 3] ?? 0) * across;
	const lower = (rgb[at + 3 * width] ?? 0) * (1 - across) + (rgb[at + 3 * width + 3] ?? 0) * across;
	return upper * (1 - down) + lower * down;
}

/** The same picture turned by quarters of a circle to the right. */
export function turnedBy(picture: Photograph, quarters: number): Photograph {
	let turned = picture;
	for (let quarter = 0; quarter < quarters; quarter++) {
		const { width, height, rgba } = turned;
		const next = new Uint8ClampedArray(rgba.length);
		for (let y = 0; y < height; y++)
			for (let x = 0; x < width; x++)
				for (let channel = 0; channel < 4; channel++)
					next[4 * (x * height + height - 1 - y) + channel] =
						rgba[4 * (y * width + x) + channel] ?? 0;
		turned = { width: height, height: width, rgba: next };
	}
	return turned;
}

/** What a ruler would find on the page: from the first dot to the upper edge, and from the outer dots to the outer edge. */
export function truthOf(notebook: Notebook, side: Side) {
	return { first: marginMm(notebook, side), last: farMarginMm(notebook, side) };
}

function boxed(light: Float32Array, width: number, height: number, radius: number): Float32Array {
	const pass = (from: Float32Array, step: number, along: number) =>
		from.map((_, at) => {
			let sum = 0;
			let count = 0;
			const spot = Math.floor(at / 3);
			const place = along === width ? spot % width : Math.floor(spot / width);
			for (let by = -radius; by <= radius; by++) {
				if (place + by < 0 || place + by >= along) continue;
				sum += from[at + 3 * by * step] ?? 0;
				count += 1;
			}
			return sum / count;
		});
	return pass(pass(light, 1, width), width, height);
}
