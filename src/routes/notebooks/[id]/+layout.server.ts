import { error } from '@sveltejs/kit';
import { indexLines } from '$lib/core/fit';
import { movingAlong } from '$lib/core/next';
import { monthsInBook, pagesLeft } from '$lib/server/shelf/shelf';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
	const record = await locals.store.notebooks.find(params.id);
	if (!record || record.deleted) error(404, 'There is no such notebook.');
	const placed = await monthsInBook(locals.store, record.id, record.notebook, locals.person);
	const latest = placed.at(-1);
	const kept = await locals.store.records.counts();
	return {
		record,
		photographs: await locals.store.photographs.ofMonths(placed.map(({ record: { id } }) => id)),
		left: pagesLeft(record.notebook, placed),
		along: latest ? movingAlong(latest.plan, latest.run) : [],
		planned: placed.map(({ record: { id, month, drawn }, plan, run }) => ({
			id,
			month,
			pages: run.pagesUsed,
			first: run.pages.at(0)?.number,
			last: run.pages.at(-1)?.number,
			inRun: run.pages.map(({ number }) => number),
			drawn: drawn?.pages ?? [],
			kept: kept.get(id) ?? 0,
			titles: indexLines(plan, run).length
		}))
	};
};
