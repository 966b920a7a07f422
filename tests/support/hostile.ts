import fc from 'fast-check';

/** Pieces that break readers which trust what they read. */
const nasty = [
	'\0',
	'"',
	"'",
	'\r',
	'\n\n\n',
	'\ufeff',
	'\u2028',
	'../../etc/passwd',
	'RRULE:FREQ=SECONDLY\r\n',
	'RRULE:FREQ=YEARLY;INTERVAL=0\r\n',
	'DTSTART:99999999T999999\r\n',
	'DURATION:P99999999999D\r\n',
	'BEGIN:VEVENT\r\n',
	'END:VCALENDAR\r\n',
	'9e999',
	'-0',
	'{"__proto__":1}',
	'[[[[[[[[',
	'}}}}',
	';;;;;;;;',
	',"",""',
	'\ud800',
	'٣٤',
	'PK\u0003\u0004'
].map((text) => Buffer.from(text));

const place = fc.double({ min: 0, max: 1, noNaN: true });
const at = (file: Buffer, part: number) => Math.floor(part * file.length);

/** A way to spoil a file: it gives another one. */
type Spoil = (file: Buffer) => Buffer;

const spoilings: fc.Arbitrary<Spoil>[] = [
	place.map((end) => (file) => file.subarray(0, at(file, end))),
	fc.tuple(place, fc.constantFrom(...nasty)).map(([where, piece]) => (file) => {
		return Buffer.concat([
			file.subarray(0, at(file, where)),
			piece,
			file.subarray(at(file, where))
		]);
	}),
	fc
		.array(fc.tuple(place, fc.integer({ min: 0, max: 255 })), { minLength: 1, maxLength: 20 })
		.map((bytes) => (file) => {
			const spoilt = Buffer.from(file);
			for (const [where, byte] of bytes) spoilt[Math.min(at(file, where), file.length - 1)] = byte;
			return spoilt;
		}),
	// A part of it again and again: endless lines, quotes that never close, thousands of events.
	fc.tuple(place, place, fc.integer({ min: 2, max: 2000 })).map(([one, other, times]) => (file) => {
		const [from, to] = [Math.min(one, other), Math.max(one, other)].map((part) => at(file, part));
		const part = file.subarray(from, Math.min(to ?? 0, (from ?? 0) + 400));
		const again = Array.from({ length: times }, () => part);
		return Buffer.concat([file.subarray(0, from), ...again, file.subarray(from)]);
	}),
	fc.constant((file: Buffer) => Buffer.from(file.toString('utf8'), 'utf16le')),
	fc.constant((file: Buffer) => Buffer.from(file.toString('utf8'), 'latin1')),
	fc.uint8Array({ maxLength: 300 }).map((bytes) => () => Buffer.from(bytes))
];

/** A good file that was spoilt once or a few times. */
export function spoilt(file: Uint8Array): fc.Arbitrary<Buffer> {
	return fc
		.array(fc.oneof(...spoilings), { minLength: 1, maxLength: 3 })
		.map((all) => all.reduce<Buffer>((before, spoil) => spoil(before), Buffer.from(file)));
}
