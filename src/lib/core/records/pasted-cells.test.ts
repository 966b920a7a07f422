import { expect, test } from 'vitest';
import { pastedCells } from './read/pasted';

test('lines are parted by tabs, semicolons or commas, and texts that hold commas stay whole', () => {
	expect(pastedCells('3\tFlour, rye\t4.20\n4\tSalt\t0.90\n')).toEqual([
		['3', 'Flour, rye', '4.20'],
		['4', 'Salt', '0.90']
	]);
	expect(pastedCells('3;Flour;4,20\r\n4;"Salt; fine";0,90')).toEqual([
		['3', 'Flour', '4,20'],
		['4', 'Salt; fine', '0,90']
	]);
	expect(pastedCells('3,Flour,4.20\n4,Salt,0.90')).toEqual([
		['3', 'Flour', '4.20'],
		['4', 'Salt', '0.90']
	]);
	expect(pastedCells('Flour, rye and salt\nBread')).toEqual([['Flour, rye and salt'], ['Bread']]);
	expect(pastedCells('')).toEqual([['']]);
});
