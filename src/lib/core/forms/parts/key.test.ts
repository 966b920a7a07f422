import { expect, test } from 'vitest';
import { settingWith } from '../../../../../tests/support/told';
import { keyIn } from './key';

test('a key of five that is too long for a row stands as three and two, not as four and one', () => {
	const setting = settingWith({ levels: ['clear', 'cloud', 'rain', 'storm', 'fog'] });
	const { entry = 0, h } = keyIn(setting, 100) ?? {};
	expect(h).toBe(2);
	expect(keyIn(setting, 5 * entry - 1)).toMatchObject({ columns: 5, h: 2 });
	expect(keyIn(setting, 5 * entry - 2)).toMatchObject({ columns: 3, w: 3 * entry - 1, h: 5 });
});
