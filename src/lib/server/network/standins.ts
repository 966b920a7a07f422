import { error } from '@sveltejs/kit';

/** Stand-ins run beside the demo, and wherever they are asked for. */
export function hasStandins(): boolean {
	return Boolean(process.env.HORARIUM_DEMO ?? process.env.HORARIUM_STANDINS);
}

/** Ends a request to a stand-in where there are none. */
export function onlyWithStandins(): void {
	if (!hasStandins()) error(404, 'There is nothing at this address.');
}
