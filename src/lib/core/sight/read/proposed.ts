import type { FieldMark } from '../../draw';
import { reachOf, readTimes, stretchesOf } from '../../records';
import type { FieldRead } from './read-page';

/** What a field in a picture means for what is kept of it. */
export type Proposed =
	/** Nothing to do: it is as it is kept. */
	| { readonly kind: 'same' }
	/** Nothing was kept, and this was read. */
	| { readonly kind: 'new'; readonly value: string }
	/** Somebody must say: the likeliest values first, among them what is kept. */
	| { readonly kind: 'ask'; readonly likely: readonly string[] }
	/** Words and figures, which are typed by whoever reads them. */
	| { readonly kind: 'type' }
	/** It is not in the picture. */
	| { readonly kind: 'hidden' };

/** How far two ends of what was coloured may differ and mean the same, in squares. */
const nearEnough = 0.2;

/** What is proposed for a field, by what is kept of it ('' for nothing). */
export function proposed({ field, shown }: FieldRead, kept: string): Proposed {
	switch (shown.kind) {
		case 'hidden':
			return { kind: 'hidden' };
		case 'typed':
			return kept === '' ? { kind: 'type' } : { kind: 'same' };
		case 'asked':
			return shown.likely[0] !== undefined && kept !== '' && alike(field, shown.likely[0], kept)
				? { kind: 'same' }
				: { kind: 'ask', likely: withKept(shown.likely, kept) };
		case 'sure':
			if (alike(field, shown.value, kept)) return { kind: 'same' };
			return kept === ''
				? { kind: 'new', value: shown.value }
				: { kind: 'ask', likely: withKept([shown.value], kept) };
	}
}

const withKept = (likely: readonly string[], kept: string) =>
	likely.includes(kept) ? likely : [...likely, kept];

/** Whether what was read is what is kept: on paper nothing tells a day that was missed from one that was not due. */
function alike(field: FieldMark, read: string, kept: string): boolean {
	if (read === kept) return true;
	if (field.holds === 'mark') return read === '' && kept !== 'x' && !/^[1-9]/.test(kept);
	const { scale } = field;
	if (!scale || read === '' || kept === '') return false;
	if (field.holds === 'number')
		return Math.abs(reachOf(scale, Number(read)) - reachOf(scale, Number(kept))) < nearEnough;
	const [one = [], other = []] = [read, kept].map((text) =>
		stretchesOf(scale, readTimes(text) ?? [])
	);
	return (
		one.length === other.length &&
		one.every(({ from, to }, at) => {
			const like = other[at];
			return (
				like !== undefined &&
				Math.abs(like.from - from) < nearEnough &&
				Math.abs(like.to - to) < nearEnough
			);
		})
	);
}
