/** What the script that serves the application offers to it: `scripts/sharing.mjs`. */
interface Sharing {
	readonly start: () => Promise<void>;
	readonly stop: () => Promise<void>;
}

/** Switches sharing on the network on and off; undefined where something else than our own script serves the application. */
export function sharing(): Sharing | undefined {
	const offered: unknown = Reflect.get(process, 'horarium');
	return isSharing(offered) ? offered : undefined;
}

function isSharing(value: unknown): value is Sharing {
	return (
		typeof value === 'object' &&
		value !== null &&
		'start' in value &&
		typeof value.start === 'function' &&
		'stop' in value &&
		typeof value.stop === 'function'
	);
}
