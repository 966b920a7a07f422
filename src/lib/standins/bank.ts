import { seeded } from './seeded';

/** Banks of different habits: semicolons and decimal commas, two columns of sums, or tabs with the sign turned. */
export const banks = ['harbour', 'lighthouse', 'island'] as const;

export type Bank = (typeof banks)[number];

interface Booking {
	readonly day: number;
	readonly text: string;
	/** Cents; what goes out is negative. */
	readonly cents: number;
}

const shops: readonly (readonly [string, number, number])[] = [
	['Mill, flour by the sack', 900, 3200],
	['Corner shop', 300, 2400],
	['Canteen on the quay', 450, 1300],
	['Ferry cafe', 250, 900],
	['Bellows and reeds', 1500, 9000],
	['Night bus', 280, 280],
	['Paper and ink', 500, 2500]
];

/** Bookings of a month, the same for the same seed: wages and rent on their days, and what is bought in between. */
function bookingsOf(year: number, month: number, seed: string): Booking[] {
	const days = new Date(Date.UTC(year, month, 0)).getUTCDate();
	const random = seeded(`${seed} ${year}-${month}`);
	const bought = Array.from({ length: 22 }, (): Booking => {
		const [text, least, most] = shops[Math.floor(random() * shops.length)] ?? ['Shop', 100, 100];
		const cents = -Math.round(least + random() * (most - least));
		return { day: 1 + Math.floor(random() * days), text, cents };
	});
	return [
		{ day: 1, text: 'Rent, Quay Street 4', cents: -61_000 },
		{ day: 14, text: 'Ferry company, wages', cents: 214_000 },
		...bought
	].sort((a, b) => a.day - b.day);
}

const two = (value: number) => String(value).padStart(2, '0');
const euros = (cents: number, decimal: string) =>
	`${Math.floor(Math.abs(cents) / 100)}${decimal}${two(Math.abs(cents) % 100)}`;

/** A month's statement as one of the banks writes it. */
export function bankStatement(bank: Bank, year: number, month: number): string {
	const bookings = bookingsOf(year, month, 'engineer');
	switch (bank) {
		case 'harbour':
			return [
				'Account;00 1234 5678',
				'',
				'"Buchungstag";"Verwendungszweck";"Betrag"',
				...bookings.map(
					({ day, text, cents }) =>
						`"${two(day)}.${two(month)}.${year}";"${text}";"${cents < 0 ? '-' : ''}${euros(cents, ',')}"`
				)
			].join('\r\n');
		case 'lighthouse':
			return [
				'Date,Description,Paid out,Paid in',
				...bookings.map(({ day, text, cents }) => {
					const sum = euros(cents, '.');
					const sums = cents < 0 ? `${sum},` : `,${sum}`;
					return `${year}-${two(month)}-${two(day)},"${text}",${sums}`;
				})
			].join('\r\n');
		case 'island':
			return [
				'Posted\tDetails\tAmount',
				...bookings.map(({ day, text, cents }) => {
					const sum = euros(cents, '.');
					return `${month}/${day}/${String(year).slice(2)}\t${text}\t${cents > 0 ? `(${sum})` : sum}`;
				})
			].join('\n');
	}
}
