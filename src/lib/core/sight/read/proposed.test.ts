import { expect, test } from 'vitest';
import { field, type FieldMark, type Holds } from '../../draw';
import { proposed } from './proposed';
import type { Shown } from './read-page';

const read = (holds: Holds, shown: Shown, more: Partial<FieldMark> = {}) => ({
	wish: 'w',
	about: 'day=1',
	field: { ...field({ x: 0, y: 0, w: 1, h: 1 }, { day: 1 }, holds), ...more },
	shown,
	corners: []
});
const sure = (value: string): Shown => ({ kind: 'sure', value });
const hours = { scale: { from: 18 * 60, per: 60, squares: 20 } };

test('what was read where nothing is kept is new, and an empty field of nothing is the same', () => {
	expect(proposed(read('mark', sure('x')), '')).toEqual({ kind: 'new', value: 'x' });
	expect(proposed(read('mark', sure('')), '')).toEqual({ kind: 'same' });
	expect(proposed(read('level', sure('3')), '')).toEqual({ kind: 'new', value: '3' });
});

test('paper has no mark for a day that was missed or not due, so these stay as they are kept', () => {
	expect(proposed(read('mark', sure('')), '-')).toEqual({ kind: 'same' });
	expect(proposed(read('mark', sure('')), 'o')).toEqual({ kind: 'same' });
});

test('what disagrees with what is kept is asked, with both', () => {
	expect(proposed(read('mark', sure('')), 'x')).toEqual({ kind: 'ask', likely: ['', 'x'] });
	expect(proposed(read('mark', sure('x')), '-')).toEqual({ kind: 'ask', likely: ['x', '-'] });
	expect(proposed(read('level', sure('2')), '4')).toEqual({ kind: 'ask', likely: ['2', '4'] });
});

test('ends of bars and spans agree within a fifth of a square', () => {
	const night = read('times', sure('22:00-06:05'), hours);
	expect(proposed(night, '22:10-06:00')).toEqual({ kind: 'same' });
	expect(proposed(night, '22:30-06:00')).toMatchObject({ kind: 'ask' });
	expect(proposed(night, '22:00-01:00, 02:00-06:00')).toMatchObject({ kind: 'ask' });
	const steps = read('number', sure('8050'), { scale: { from: 0, per: 500, squares: 24 } });
	expect(proposed(steps, '7992')).toEqual({ kind: 'same' });
	expect(proposed(steps, '7800')).toMatchObject({ kind: 'ask' });
});

test('what is doubtful is asked unless the likeliest is kept, words are typed once, the unseen is left', () => {
	const doubtful: Shown = { kind: 'asked', likely: ['x', ''] };
	expect(proposed(read('mark', doubtful), 'x')).toEqual({ kind: 'same' });
	expect(proposed(read('mark', doubtful), '')).toEqual({ kind: 'ask', likely: ['x', ''] });
	expect(proposed(read('text', { kind: 'typed' }), '')).toEqual({ kind: 'type' });
	expect(proposed(read('text', { kind: 'typed' }), 'rain')).toEqual({ kind: 'same' });
	expect(proposed(read('mark', { kind: 'hidden' }), '')).toEqual({ kind: 'hidden' });
});
