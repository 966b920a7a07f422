import type { Rect } from '$lib/core/paper';

/** The place that an arrow leads to from one: the nearest one that way, those in line first; undefined at the edge. */
export function towards(places: readonly Rect[], from: number, key: string): number | undefined {
	const here = places[from];
	if (!here) return undefined;
	const across = key === 'ArrowLeft' || key === 'ArrowRight';
	const sign = key === 'ArrowLeft' || key === 'ArrowUp' ? -1 : 1;
	const middle = ({ x, y, w, h }: Rect) => ({ x: x + w / 2, y: y + h / 2 });
	const start = middle(here);
	let best: { at: number; far: number } | undefined;
	for (const [at, place] of places.entries()) {
		const end = middle(place);
		const along = sign * (across ? end.x - start.x : end.y - start.y);
		const aside = Math.abs(across ? end.y - start.y : end.x - start.x);
		if (at === from || along <= 0.01) continue;
		const far = along + 4 * aside;
		if (!best || far < best.far) best = { at, far };
	}
	return best?.at;
}
