import { browser } from '$app/environment';
import type { CountedIn } from '$lib/core/guide';

const key = 'horarium counted in';

/** Whether sentences speak of squares or of dots: chosen once, for every page and month. */
class Counted {
	private chosen = $state<CountedIn>(kept());

	get unit(): CountedIn {
		return this.chosen;
	}

	set unit(unit: CountedIn) {
		this.chosen = unit;
		try {
			localStorage.setItem(key, unit);
		} catch {
			// Without a place to keep it, it holds until the window is closed.
		}
	}
}

function kept(): CountedIn {
	try {
		return browser && localStorage.getItem(key) === 'dots' ? 'dots' : 'squares';
	} catch {
		return 'squares';
	}
}

export const countedIn = new Counted();
