/** How often the desk asks whether a picture was taken elsewhere, in ms. */
const everyMs = 2000;

/** Lays a picture down for the desk's screen; says what went wrong, if anything did. */
export async function handToDesk(month: string, picture: File): Promise<string | undefined> {
	try {
		const answer = await fetch(`/app/months/${month}/pictures`, {
			method: 'POST',
			headers: { 'content-type': picture.type || 'image/jpeg' },
			body: picture
		});
		return answer.ok ? undefined : 'The picture was not taken over. Is it larger than 30 MB?';
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
