import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { planRun, type Plan, type Run } from '../../src/lib/core/fit';
import { checked, planSchema, toPlan } from '../../src/lib/core/formats';
import { pageArt } from '../../src/lib/core/render/pages/page-art';
import { renderSvg } from '../../src/lib/core/render/out/svg';
import { faces } from '../../src/lib/server/answer/fonts';
import { figuresOf, type PageFigures } from './figures';
import { someMonth } from './months';

/** A named month: a plan document, or a number from which one is made. */
function monthOf(name: string): { readonly name: string; readonly plan: Plan } {
	if (/^\d+$/.test(name)) return someMonth(Number(name));
	const read = checked(planSchema, JSON.parse(readFileSync(name, 'utf8')));
	if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.faults)}`);
	return { name: basename(name, '.json'), plan: toPlan(read.value) };
}

/** Draws months as contact sheets into a folder and prints their figures; gives the files. */
export function main(names: readonly string[], folder: string): string[] {
	mkdirSync(folder, { recursive: true });
	const all: PageFigures[] = [];
	const files = names.map((asked) => {
		const { name, plan } = monthOf(asked);
		const run = planRun(plan);
		const figures = figuresOf(plan, run);
		all.push(...figures);
		const lost = run.unplaced.map(({ wish, part }) => (part ? `${wish} ${part}` : wish));
		const told = [
			`${run.pages.length} pages`,
			run.optimal ? 'best' : 'not proved',
			...(lost.length > 0 ? [`left out: ${lost.join(', ')}`] : [])
		];
		console.log(`${name}: ${told.join('; ')}`);
		const file = join(folder, `${name.replaceAll(' ', '-')}.html`);
		writeFileSync(file, contactSheet(`${name}: ${told.join('; ')}`, plan, run, figures));
		return file;
	});
	const share = (which: (figures: PageFigures) => boolean) => {
		const count = all.filter(which).length;
		return `${count} (${((100 * count) / Math.max(1, all.length)).toFixed(1)} %)`;
	};
	console.log(`${all.length} pages`);
	console.log(`blank inside a run: ${share(({ blank }) => blank)}`);
	console.log(
		`an empty rectangle over a third: ${share(({ empty, blank }) => !blank && empty > 1 / 3)}`
	);
	console.log(`lettered beside written titles: ${share(({ mixed }) => mixed)}`);
	console.log(`titles of unlike heights in view: ${share(({ unlike }) => unlike)}`);
	console.log(`letters at an edge or a line: ${share(({ atEdge }) => atEdge)}`);
	console.log(`things of one kind unlike: ${share(({ siblings }) => siblings)}`);
	const sum = (of: (figures: PageFigures) => number) => all.reduce((a, b) => a + of(b), 0);
	console.log(`tables of more than half again: ${sum((f) => f.ample)} of ${sum((f) => f.tables)}`);
	return files;
}

function contactSheet(
	title: string,
	plan: Plan,
	run: Run,
	figures: readonly PageFigures[]
): string {
	const pictures = run.pages.map((page, index) => {
		const { empty = 0, blank = false } = figures[index] ?? {};
		const told = blank ? 'blank' : empty > 1 / 3 ? `${Math.round(100 * empty)} % empty` : '';
		const svg = renderSvg(pageArt(plan, run, page), faces());
		const source = `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`;
		return `<figure class="${page.side}"><img src="${source}" alt=""><figcaption>${page.number} ${told}</figcaption></figure>`;
	});
	const lead = run.pages[0]?.side === 'right' ? '<figure class="left"></figure>' : '';
	return `<!doctype html><meta charset="utf-8"><title>${title}</title>
<style>body{font:13px sans-serif;background:#ddd;margin:8px}main{display:grid;grid-template-columns:repeat(6,1fr);gap:8px 0}
figure{margin:0}figure.left{padding-left:6px}figure.right{padding-right:6px}img{width:100%;background:#fff;display:block}figcaption{color:#b00}</style>
<p>${title}</p><main>${lead}${pictures.join('')}</main>`;
}
