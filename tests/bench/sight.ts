import { sideOf } from '../../src/lib/core/paper';
import { measurePage, greyOf, readPage, seePage } from '../../src/lib/core/sight';
import { photographed, turnedBy, truthOf, type Shot } from '../../src/lib/standins/camera';
import type { Penmanship } from '../../src/lib/standins/drawn-page';
import { seeded } from '../../src/lib/standins/seeded';
import { aprilAlbum, counted, exposed, usualShot } from '../support/album';
import { summary, report } from './measure';

/** Sorts of light and camera; what is wrong among sure cells may be more in the last two. */
const lights: readonly (readonly [string, Partial<Shot>])[] = [
	['plain', {}],
	['shadow of a hand', { handShadow: 0.4 }],
	['light from the side, curled', { shade: 0.5, curl: 6 }],
	['grain', { noise: 7 }],
	['on a checked cloth', { cloth: { everyMm: 8, grey: 150, checked: true } }],
	['glare', { glare: 0.7 }],
	['blurred', { blur: 1 }]
];
const fills: readonly Penmanship['fills'][] = [
	'whole',
	'crossed',
	'slashed',
	'ticked',
	'dotted',
	'ringed',
	'coloured'
];

/** What is read of so many simulated photographs, by sorts of light; seeds and hands are no test's. */
export function benchSight(pictures: number): void {
	const album = aprilAlbum();
	const { plan, known } = album;
	const pages = known.filter(({ fields }) => fields.length > 0).map(({ page }) => page);
	const times: number[] = [];
	const byFill = new Map<string, Cells>();
	const byPage = new Map<number, Cells>();
	for (const [name, light] of lights) {
		const places = { right: 0, refused: 0, wrong: 0 };
		const cells = noCells();
		for (let at = 0; at < pictures / lights.length; at++) {
			const random = seeded(`bench ${name} ${at}`);
			const pick = <T>(all: readonly T[]): T => {
				const found = all[Math.floor(random() * all.length)];
				if (found === undefined) throw new RangeError('nothing to choose from');
				return found;
			};
			const shot: Partial<Shot> = {
				seed: `bench ${name} ${at}`,
				width: pick([800, 1000, 1300]),
				lean: 12 * random() - 6,
				nod: 12 * random() - 6,
				turn: 10 * random() - 5,
				table: pick([60, 90, 120, 170]),
				...light
			};
			const hand: Partial<Penmanship> = {
				fills: pick(fills),
				dates: random() < 0.8,
				shakes: 0.05 + 0.2 * random(),
				ink: pick([
					[38, 42, 58],
					[20, 20, 20],
					[30, 60, 120],
					[110, 108, 106]
				] as const)
			};
			const page = pick(pages);
			const exposure = exposed(album, page, shot, hand);
			const picture = turnedBy(exposure.photograph, pick([0, 0, 0, 1, 2]));
			const begin = performance.now();
			const seen = seePage(picture, plan.notebook, known);
			if ('says' in seen) {
				places.refused += 1;
				if (process.env.WHY) console.log(page, JSON.stringify(shot), hand.fills, seen.says);
				continue;
			}
			if (!seen.pages.includes(page)) {
				places.wrong += 1;
				continue;
			}
			places.right += 1;
			const own = known.find((one) => one.page === page);
			const read = readPage(picture, seen, plan.notebook, own?.fields ?? [], own?.marks ?? []);
			times.push(performance.now() - begin);
			const { right, asked, wrong } = counted(read, exposure);
			const fill = hand.fills ?? '';
			byFill.set(fill, byFill.get(fill) ?? noCells());
			byPage.set(page, byPage.get(page) ?? noCells());
			for (const tally of [cells, byFill.get(fill), byPage.get(page)]) {
				if (!tally) continue;
				tally.right += right;
				tally.asked += asked;
				tally.wrong += wrong.length;
			}
		}
		console.log(
			`${name.padEnd(30)} page right ${places.right}, refused ${places.refused}, wrong ${places.wrong}; ${told(cells)}`
		);
	}
	for (const [fill, cells] of byFill) console.log(`${fill.padEnd(30)} ${told(cells)}`);
	for (const [page, cells] of [...byPage].sort(([a], [b]) => a - b))
		console.log(`${`page ${page}`.padEnd(30)} ${told(cells)}`);
	report('a picture found and read', summary(times));
	benchMeasuring(Math.ceil(pictures / 10));
}

/** Readings of cells, counted. */
interface Cells {
	right: number;
	asked: number;
	wrong: number;
}

const noCells = (): Cells => ({ right: 0, asked: 0, wrong: 0 });

function told({ right, asked, wrong }: Cells): string {
	const sure = right + wrong;
	const share = (part: number, of: number) => `${((100 * part) / Math.max(1, of)).toFixed(1)} %`;
	return `${sure + asked} cells: ${share(wrong, sure)} of the sure ones wrong, ${share(asked, sure + asked)} asked`;
}

/** How far measured margins and pitch are from the simulated notebook's. */
function benchMeasuring(pictures: number): void {
	const { notebook } = aprilAlbum().plan;
	let [refused, pitch, dots] = [0, 0, 0];
	for (let at = 0; at < pictures; at++) {
		const random = seeded(`bench measuring ${at}`);
		const side = sideOf(at);
		const shot: Shot = {
			...usualShot,
			side,
			seed: `bench measuring ${at}`,
			width: 1000,
			lean: 10 * random() - 5,
			nod: 10 * random() - 5,
			turn: 8 * random() - 4,
			table: 50 + 90 * random(),
			curl: 4 * random()
		};
		const { rgba, width, height } = photographed(notebook, shot);
		const found = measurePage(greyOf(rgba, width, height), side, notebook.pageMm);
		if ('says' in found) {
			refused += 1;
			continue;
		}
		const { first } = truthOf(notebook, side);
		pitch = Math.max(pitch, Math.abs(found.pitchMm - notebook.pitchMm));
		for (const axis of ['x', 'y'] as const)
			dots = Math.max(dots, Math.abs((found.firstDot[axis] ?? first[axis]) - first[axis]));
	}
	console.log(
		`measured in ${pictures} pictures, ${refused} refused: pitch at most ${pitch.toFixed(4)} mm off, first dots ${dots.toFixed(2)} mm`
	);
}
