import { expect, test } from 'vitest';
import { handedTo, handOver } from './handed-over';

const picture = (byte: number) => ({ type: 'image/jpeg', bytes: Uint8Array.of(byte) });
const minutes = (count: number) => count * 60_000;

test('a picture is given once, to the month that it is of, in the order of taking', () => {
	handOver('may', picture(1), 0);
	handOver('june', picture(2), 0);
	handOver('may', picture(3), 1);
	expect(handedTo('april', 2)).toBeUndefined();
	expect(handedTo('may', 2)).toEqual(picture(1));
	expect(handedTo('may', 2)).toEqual(picture(3));
	expect(handedTo('may', 2)).toBeUndefined();
	expect(handedTo('june', 2)).toEqual(picture(2));
});

test('what nobody fetches is forgotten, and of too many the oldest', () => {
	handOver('may', picture(1), 0);
	expect(handedTo('may', minutes(11))).toBeUndefined();
	for (let byte = 1; byte <= 9; byte++) handOver('may', picture(byte), 0);
	expect(handedTo('may', 1)).toEqual(picture(4));
});
