import { textWidth } from '../../hand';
import { withCurrency } from '../form/currency';
import type { Column, ColumnHolds } from '../form/content';
import type { Setting } from '../form/form';

/** A column of a table with the width it is ruled in. */
export interface RuledColumn {
	readonly name: string;
	readonly width: number;
	/** Its name as the wish has it. */
	readonly kept: string;
	readonly holds?: ColumnHolds;
}

/** A wish's columns, or a few samples, with widths as given, or as wide as name and longest value in the person's hand. */
export function ruledColumns(
	{ content, hand, locale }: Setting,
	samples: readonly Column[]
): RuledColumn[] {
	const columns = content.columns && content.columns.length > 0 ? content.columns : samples;
	return columns.map(({ name: written, width, longest = '', holds }) => {
		const name = withCurrency(written, locale);
		return {
			name,
			kept: written,
			width: width ?? Math.max(1, textWidth(name, hand), textWidth(longest, hand)),
			...(holds ? { holds } : written.includes('¤') ? { holds: 'money' as const } : {})
		};
	});
}
