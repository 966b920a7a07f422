/** Whether two values say the same as JSON, whatever the order of their fields. */
export function sameContent(a: unknown, b: unknown): boolean {
	return JSON.stringify(a, inOrder) === JSON.stringify(b, inOrder);
}

function inOrder(_: string, value: unknown): unknown {
	if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
	return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}
