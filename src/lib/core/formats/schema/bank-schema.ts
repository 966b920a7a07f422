import { labelHeights, labelSets } from '../../labels';
import { dateOrders } from '../../records';
import { flag, list, missing, oneOf, record, whole, words } from './rules';

const column = () => whole(0, 200).required(missing);

const addresses = { band: words(500), calendar: words(500), printer: words(500) };

/** Addresses of devices and services that have answered. */
export const outsideSchema = record(addresses).default({});

/** A question to one of them. */
export const askSchema = record({
	what: oneOf(['band', 'calendar', 'printer']).required(missing),
	address: words(500).min(1, missing).required(missing),
	path: words(200).matches(/^\/[\w./?&=-]*$/, 'must begin with /'),
	tag: words(200)
}).required(missing);

/** A label to be printed at an address: which one of a set, and how many squares high. */
export const labelSchema = record({
	address: words(500).min(1, missing).required(missing),
	set: oneOf(labelSets).required(missing),
	high: whole(labelHeights.least, labelHeights.most).required(missing),
	label: whole(0, 1000).required(missing)
}).required(missing);

/** How the person’s banks write, and what bookings were for, as the screens send it. */
export const bankSchema = record({
	banks: list(
		record({
			signature: words(2000).required(missing),
			habits: record({
				day: column(),
				text: column(),
				amount: column(),
				came: whole(0, 200),
				order: oneOf(dateOrders).required(missing),
				decimal: oneOf(['.', ',']).required(missing),
				turned: flag()
			}).required(missing)
		}).required(missing),
		0,
		50
	).required(missing),
	rules: list(
		record({
			word: words(200).min(1, missing).required(missing),
			category: words(200).min(1, missing).required(missing)
		}).required(missing),
		0,
		2000
	).required(missing)
}).required(missing);
