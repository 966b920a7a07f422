// Draws docs/structure.svg: which folder takes what from which, from the imports themselves.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join, normalize, posix } from 'node:path';

/** Folders of the core stand for themselves; of the rest what is beside it. */
const beside = ['worker', 'server', 'ui'];
const [boxWidth, boxHeight, gapX, gapY, margin] = [104, 30, 18, 44, 24];

/** @type {Map<string, Set<string>>} */
const uses = new Map();
for (const file of filesIn('src')) {
	const from = placeOf(file);
	if (!from) continue;
	if (!uses.has(from)) uses.set(from, new Set());
	for (const [, spec = ''] of readFileSync(file, 'utf8').matchAll(
		/(?:from|import)\s*\(?\s*['"](\.{1,2}[^'"]*|\$lib\/[^'"]*)['"]/g
	)) {
		const path = spec.startsWith('$lib/')
			? `src/lib/${spec.slice(5)}`
			: posix.normalize(posix.join(posix.dirname(file), spec));
		const to = placeOf(`${path}/`);
		if (to && to !== from) uses.get(from)?.add(to);
	}
}

/** @type {Map<string, number>} */
const floors = new Map();
for (const place of uses.keys()) floorOf(place, []);
const rows = [...new Set(floors.values())]
	.sort((one, other) => other - one)
	.map((floor) => [...floors].filter(([, own]) => own === floor).map(([place]) => place));
const width = Math.max(...rows.map((row) => row.length)) * (boxWidth + gapX) - gapX + 2 * margin;
const height = rows.length * (boxHeight + gapY) - gapY + 2 * margin;
/** @type {Map<string, { x: number, y: number }>} */
const at = new Map();
for (const [index, row] of rows.entries()) {
	const left = (width - row.length * (boxWidth + gapX) + gapX) / 2;
	for (const [place, name] of row.entries())
		at.set(name, { x: left + place * (boxWidth + gapX), y: margin + index * (boxHeight + gapY) });
}
writeFileSync(
	'docs/structure.svg',
	`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="13">
<rect width="100%" height="100%" fill="#fbf9f4"/>
${[...uses].flatMap(([from, all]) => direct(from, all).map((to) => arrow(from, to))).join('\n')}
${[...at].map(([name, { x, y }]) => `<rect x="${x}" y="${y}" width="${boxWidth}" height="${boxHeight}" fill="${beside.includes(name) || name === 'routes' ? '#dfe7ea' : '#fff'}" stroke="#39434a"/><text x="${x + boxWidth / 2}" y="${y + 20}" text-anchor="middle" fill="#22292e">${name}</text>`).join('\n')}
</svg>
`
);

/**
 * @param {string} folder
 * @returns {string[]}
 */
function filesIn(folder) {
	return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
		const path = join(folder, entry.name);
		if (entry.isDirectory()) return filesIn(path);
		return /(?<!\.test)\.(ts|svelte)$/.test(entry.name) ? [normalize(path)] : [];
	});
}

/**
 * @param {string} path
 * @returns {string | undefined}
 */
function placeOf(path) {
	if (path.startsWith('src/routes/')) return 'routes';
	const core = /^src\/lib\/core\/(\w+)\//.exec(path)?.[1];
	if (core) return core;
	const other = /^src\/lib\/(\w+)\//.exec(path)?.[1];
	return other && beside.includes(other) ? other : undefined;
}

/**
 * How many floors stand below a place. A circle would have none: then this says so.
 * @param {string} place
 * @param {readonly string[]} above
 * @returns {number}
 */
function floorOf(place, above) {
	const known = floors.get(place);
	if (known !== undefined) return known;
	if (above.includes(place)) throw new Error(`a circle: ${[...above, place].join(' → ')}`);
	const floor = Math.max(
		0,
		...[...(uses.get(place) ?? [])].map((to) => 1 + floorOf(to, [...above, place]))
	);
	floors.set(place, floor);
	return floor;
}

/**
 * What a place takes itself and not only through others.
 * @param {string} from
 * @param {ReadonlySet<string>} all
 */
function direct(from, all) {
	return [...all].filter((to) => ![...all].some((by) => by !== to && reaches(by, to)));
}

/**
 * @param {string} from
 * @param {string} to
 * @returns {boolean}
 */
function reaches(from, to) {
	return [...(uses.get(from) ?? [])].some((next) => next === to || reaches(next, to));
}

/**
 * @param {string} from
 * @param {string} to
 */
function arrow(from, to) {
	const [one, other] = [at.get(from), at.get(to)];
	if (!one || !other) return '';
	const [x1, y1, x2, y2] = [
		one.x + boxWidth / 2,
		one.y + boxHeight,
		other.x + boxWidth / 2,
		other.y
	];
	return `<path d="M${x1} ${y1} C${x1} ${y1 + gapY / 1.5} ${x2} ${y2 - gapY / 1.5} ${x2} ${y2}" fill="none" stroke="#8a969c" stroke-width="1.2"/>`;
}
