import type { Mark } from '../draw';
import { roles, type Role } from '../theme';
import { pageMarks } from './drawing';
import type { Plan, Run } from '../fit';

/** What a mark is coloured with; nothing where it is left to the person, as a picture is. */
export function roleOf(mark: Mark): Role | undefined {
	switch (mark.kind) {
		case 'line':
		case 'arc':
			return 'lines';
		case 'text':
			return mark.style === 'lettering' ? 'lettering' : 'lines';
		case 'tint':
			if (mark.tone === 'rest' || mark.tone === 'line') return 'rest';
			if (mark.tone === 'bar' || mark.tone === 'slack') return 'accent';
			return mark.tone === 'art' ? undefined : 'key';
	}
}

/** A colour, and the pages of the run on which nothing is drawn in it. */
export interface MissingColour {
	readonly role: Role;
	readonly pages: readonly number[];
}

/** Where colours of the month are missing: pages go together by a colour that comes back on each. (Common practice.) */
export function missingColours(plan: Plan, run: Run): MissingColour[] {
	const found = run.pages.map(({ number }) => ({
		number,
		roles: new Set(pageMarks(plan, run, number).map(roleOf))
	}));
	return roles.flatMap((role) => {
		const pages = found.filter((page) => !page.roles.has(role)).map(({ number }) => number);
		return pages.length > 0 ? [{ role, pages }] : [];
	});
}
