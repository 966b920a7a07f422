import type { IncomingMessage } from 'node:http';
import type { Person } from '$lib/core/fit';
import type { Wish } from '$lib/core/wish';
import type { Store } from '$lib/server/shelf/store';

declare global {
	namespace App {
		interface PageData {
			/** Address of a calendar that has answered before. */
			calendar?: string;
			/** Kinds that the person has made. */
			ownKinds?: readonly { readonly id: string; readonly name: string; readonly wish: Wish }[];
		}
		interface Locals {
			store: Store;
			/** Colour scheme the person chose; `system` follows the device. */
			theme: 'light' | 'dark' | 'system';
			/** The measured hand, and the first language the browser asks for. */
			person: Person;
			/** Aborts when nobody waits for the answer any more. */
			gone: AbortSignal;
			/** What went wrong while the answer was made. */
			trouble?: unknown;
		}
		interface Platform {
			req: IncomingMessage;
		}
	}
}

export {};
