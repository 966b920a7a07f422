import type { Notebook, Side } from '$lib/core/paper';
import { farMarginMm, marginMm } from '$lib/core/paper';
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
}

/** A raw picture, four bytes a pixel. */
export interface Photograph {
	readonly width: number;
	readonly height: number;
	readonly rgba: Uint8ClampedArray;
}

const paper = 242;
const dotLight = 150;
const dotRadiusMm = 0.22;
/** From the camera to the table, in page heights. */
const distance = 1.9;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * A photograph of an empty page as a telephone takes it: rays from the camera meet the table or the paper, which rises
 * towards the fold; a lens, light from one side, blur and noise. Simulated; it shares nothing with what reads it.
 */
export function photographed(notebook: Notebook, shot: Shot): Photograph {
	const { width: pageWidth, height: pageHeight } = notebook.pageMm;
	const [width, height] = [shot.width, Math.round((shot.width * 4) / 3)];
	const margin = marginMm(notebook, shot.side);
	const light = new Float32Array(width * height);
	const away = distance * pageHeight;
	// The page fills most of the picture, whichever way it is the fuller.
	const focal = Math.min((0.8 * height) / pageHeight, (0.8 * width) / pageWidth) * away;
	const [cosTurn, sinTurn] = [Math.cos(radians(shot.turn)), Math.sin(radians(shot.turn))];
	const [tanLean, tanNod] = [Math.tan(radians(shot.lean)), Math.tan(radians(shot.nod))];
	const random = seeded(shot.seed);
	const lightSide = random() < 0.5 ? 1 : -1;
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
			let x = rx * reach + pageWidth / 2;
			let y = ry * reach + pageHeight / 2;
			// What is higher is seen further out.
			const lift = shot.curl * Math.exp(-Math.abs(x - foldX) / 18);
			x -= rx * lift;
			y -= ry * lift;
			const shadow = 1 - shot.shade * (0.5 + (lightSide * u * focal) / width);
			light[row * width + column] = shadow * lightOf(x, y);
		}

	function lightOf(x: number, y: number): number {
		const other = shot.side === 'left' ? x > pageWidth : x < 0;
		const off = shot.side === 'left' ? x < 0 : x > pageWidth;
		const reachOver = Math.abs(x - foldX) > pageWidth;
		if (y < 0 || y > pageHeight || off || (other && reachOver)) return shot.table;
		const fold = 1 - 0.35 * Math.exp(-Math.abs(x - foldX) / 2.5);
		if (other) return paper * fold;
		const [i, j] = [(x - margin.x) / notebook.pitchMm, (y - margin.y) / notebook.pitchMm];
		const [column, row] = [Math.round(i), Math.round(j)];
		if (column < 0 || row < 0 || column > notebook.columns || row > notebook.rows)
			return paper * fold;
		const far = Math.hypot(i - column, j - row) * notebook.pitchMm;
		const covered = Math.min(1, Math.max(0, (dotRadiusMm + 0.05 - far) / 0.1));
		return fold * (paper - covered * (paper - dotLight));
	}

	const soft = shot.blur > 0 ? boxed(light, width, height, shot.blur) : light;
	const rgba = new Uint8ClampedArray(4 * width * height);
	for (let at = 0; at < soft.length; at++) {
		// The sum of four even numbers is near enough to a bell.
		const grain = shot.noise * (random() + random() + random() + random() - 2) * 1.7;
		const grey = (soft[at] ?? 0) + grain;
		rgba[4 * at] = grey;
		rgba[4 * at + 1] = grey * 0.985;
		rgba[4 * at + 2] = grey * 0.95;
		rgba[4 * at + 3] = 255;
	}
	return { width, height, rgba };
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
			const place = along === width ? at % width : Math.floor(at / width);
			for (let by = -radius; by <= radius; by++) {
				if (place + by < 0 || place + by >= along) continue;
				sum += from[at + by * step] ?? 0;
				count += 1;
			}
			return sum / count;
		});
	return pass(pass(light, 1, width), width, height);
}
