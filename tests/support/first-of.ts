import type { Layout } from '../../src/lib/core/forms';

/** The layout that is drawn, out of those of a form. */
export function firstOf(layouts: readonly Layout[] | undefined): Layout {
	const layout = layouts?.[0];
	if (!layout) throw new Error('it does not fit');
	return layout;
}
