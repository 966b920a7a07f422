/** What a column holds. */
export type ColumnKind = 'text' | 'text or nothing' | 'number' | 'bytes';

/** Names of all tables that travel. */
export type TableName =
	| 'notebook'
	| 'month'
	| 'wish'
	| 'month_past'
	| 'month_making'
	| 'entry'
	| 'photograph'
	| 'month_set'
	| 'own_kind'
	| 'own_font'
	| 'setting'
	| 'printer';

/** A table: its columns, and which of them tell a row from all others. */
export interface TableShape {
	readonly name: TableName;
	readonly key: readonly string[];
	readonly columns: Readonly<Record<string, ColumnKind>>;
	/** Archives of this version hold it from the first on; of others there may be none. */
	readonly always: boolean;
}

const named = { id: 'text', name: 'text' } as const;
const dated = { created_at: 'text', deleted_at: 'text or nothing' } as const;

/**
 * All tables, each after those that it refers to. Whatever is changed here makes archives that an earlier Horarium cannot
 * read: then `version` in `pack.ts` goes up (a test holds them together).
 */
export const tables: readonly TableShape[] = [
	{
		name: 'notebook',
		key: ['id'],
		columns: { ...named, content: 'text', revision: 'number', ...dated },
		always: true
	},
	{
		name: 'month',
		key: ['id'],
		columns: {
			id: 'text',
			notebook_id: 'text',
			month: 'text',
			week_start: 'text',
			aim: 'text',
			sizes: 'text or nothing',
			titles: 'text or nothing',
			theme: 'text or nothing',
			lately: 'text or nothing',
			drawn: 'text or nothing',
			cuts: 'text or nothing',
			revision: 'number',
			...dated
		},
		always: true
	},
	{
		name: 'wish',
		key: ['month_id', 'id'],
		columns: { month_id: 'text', id: 'text', position: 'number', kind: 'text', content: 'text' },
		always: true
	},
	{
		name: 'month_past',
		key: ['month_id', 'revision'],
		columns: { month_id: 'text', revision: 'number', left_at: 'text', content: 'text' },
		always: false
	},
	{
		name: 'month_making',
		key: ['month_id'],
		columns: { month_id: 'text', content: 'text' },
		always: true
	},
	{
		name: 'entry',
		key: ['month_id', 'wish', 'about'],
		columns: { month_id: 'text', wish: 'text', about: 'text', holds: 'text', value: 'text' },
		always: true
	},
	{
		name: 'photograph',
		key: ['id'],
		columns: {
			id: 'text',
			month_id: 'text',
			page: 'number',
			hash: 'text',
			type: 'text',
			...dated
		},
		always: false
	},
	{
		name: 'month_set',
		key: ['id'],
		columns: { ...named, content: 'text', ...dated },
		always: true
	},
	{
		name: 'own_kind',
		key: ['id'],
		columns: { ...named, content: 'text', ...dated },
		always: true
	},
	{
		name: 'own_font',
		key: ['id'],
		columns: { ...named, used_for: 'text', letters: 'text', file: 'bytes', ...dated },
		always: true
	},
	{ name: 'setting', key: ['name'], columns: { name: 'text', content: 'text' }, always: true },
	{
		name: 'printer',
		key: ['id'],
		columns: { ...named, across_mm: 'number', down_mm: 'number' },
		always: true
	}
];

export type Cell = string | number | null | Uint8Array;
export type Row = Readonly<Record<string, Cell>>;

/** What is wrong with a cell; nothing where it is as its column asks. */
export function cellFault(kind: ColumnKind, value: unknown): string | undefined {
	switch (kind) {
		case 'text':
			return typeof value === 'string' ? undefined : 'must be a text';
		case 'text or nothing':
			return typeof value === 'string' || value === null ? undefined : 'must be a text or null';
		case 'number':
			return typeof value === 'number' && Number.isFinite(value) ? undefined : 'must be a number';
		case 'bytes':
			return value instanceof Uint8Array ? undefined : 'must name a file of the archive';
	}
}

/** The shape of a table by its name. */
export function shapeOf(table: TableName): TableShape {
	const shape = tables.find(({ name }) => name === table);
	if (!shape) throw new RangeError(`there is no table ${table}`);
	return shape;
}
