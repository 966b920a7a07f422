import type { Ranges } from '../../hand';
import type { Validator } from './plan-document';
import { list, missing, oneOf, record, whole } from '../schema/rules';

const lastCodePoint = 0x10ffff;
const codePoint = whole(0, lastCodePoint).required(missing);

/** Ranges of code points. */
export const listOfRanges: Validator<Ranges> = {
	validateSync: (value, options) =>
		list(list(codePoint, 2, 2).required(missing), 0, lastCodePoint)
			.required(missing)
			.validateSync(value, options)
			.map(([first = 0, last = 0]) => [first, last] as const)
};

/** What a font file is used for. */
export const fontUseSchema = record({
	use: oneOf(['hand', 'lettering', 'both']).required(missing)
}).required(missing);
