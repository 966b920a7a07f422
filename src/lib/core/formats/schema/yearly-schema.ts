import { list, missing, record, whole, words } from './rules';

/** What comes every year, as the screens send it. */
export const yearlySchema = record({
	yearly: list(
		record({
			month: whole(1, 12).required(missing),
			day: whole(1, 31).required(missing),
			text: words(300).min(1, missing).required(missing)
		}).required(missing),
		0,
		500
	).required(missing)
}).required(missing);
