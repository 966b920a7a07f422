import { textOf } from '../send';

/** How often the desk asks whether a picture was taken elsewhere, in ms. */
const everyMs = 2000;

/** Lays a picture down for the desk's screen; says what went wrong, if anything did. */
export function handToDesk(month: string, picture: File): Promise<string | undefined> {
	return sendPicture(`/app/months/${month}/pictures`, picture);
}

/** Keeps a picture with a page of the month; says what went wrong, if anything did. */
export function keepPhotograph(
	month: string,
	page: number,
	picture: File
): Promise<string | undefined> {
	return sendPicture(`/app/months/${month}/photographs?page=${page}`, picture);
}

async function sendPicture(path: string, picture: File): Promise<string | undefined> {
	try {
		const answer = await fetch(path, {
			method: 'POST',
			headers: { 'content-type': picture.type || 'image/jpeg' },
			body: picture
		});
		if (answer.ok) return undefined;
		const body: unknown = await answer.json().catch(() => undefined);
		return textOf(body, 'detail') ?? 'The picture was not taken.';
	} catch {
		return 'The machine that Horarium runs on does not answer.';
	}
}

/** Hears of pictures that other devices lay down for this screen, until it is ended. */
export function pictures(month: string, heard: (picture: File) => void): () => void {
	let ended = false;
	const ask = async () => {
		try {
			const answer = await fetch(`/app/months/${month}/pictures`);
			if (answer.status !== 200) return;
			const picture = await answer.blob();
			if (!ended) heard(new File([picture], 'from the other device', { type: picture.type }));
		} catch {
			// It is asked again soon.
		}
	};
	const clock = setInterval(() => {
		if (document.visibilityState === 'visible') void ask();
	}, everyMs);
	return () => {
		ended = true;
		clearInterval(clock);
	};
}
