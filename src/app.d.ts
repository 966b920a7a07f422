import type { Store } from '$lib/server/store';

declare global {
	namespace App {
		interface Locals {
			store: Store;
			/** Colour scheme the person chose; `system` follows the device. */
			theme: 'light' | 'dark' | 'system';
			/** First language the browser asks for, as a BCP 47 tag. */
			locale: string;
		}
	}
}

export {};
