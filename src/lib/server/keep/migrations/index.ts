import type { Migration } from 'kysely';
import { firstTables } from './001-first-tables';
import { handAndPrinters } from './002-hand-and-printers';
import { ownKinds } from './003-own-kinds';
import { drawnPages } from './004-drawn-pages';
import { monthCuts } from './005-cuts';
import { ownFonts } from './006-own-fonts';
import { rulesByForm } from './007-rules-by-form';
import { rooms } from './008-rooms';
import { monthTheme } from './009-theme';
import { monthMaking } from './010-making';
import { entries } from './011-entries';
import { monthSets } from './012-month-sets';
import { devices } from './013-devices';
import { monthPast } from './014-month-past';
import { monthSizes } from './015-sizes';
import { photographs } from './016-photographs';

/** Steps from an empty file to the newest version, by name, in order; a published one never changes. */
export const migrations: Record<string, Migration> = {
	'001-first-tables': firstTables,
	'002-hand-and-printers': handAndPrinters,
	'003-own-kinds': ownKinds,
	'004-drawn-pages': drawnPages,
	'005-cuts': monthCuts,
	'006-own-fonts': ownFonts,
	'007-rules-by-form': rulesByForm,
	'008-rooms': rooms,
	'009-theme': monthTheme,
	'010-making': monthMaking,
	'011-entries': entries,
	'012-month-sets': monthSets,
	'013-devices': devices,
	'014-month-past': monthPast,
	'015-sizes': monthSizes,
	'016-photographs': photographs
};
