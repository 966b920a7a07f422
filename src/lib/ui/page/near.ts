import type { Attachment } from 'svelte/attachments';

/** Says whether the element is in the window or within a window's height of it, now and whenever that changes. */
export function near(say: (near: boolean) => void): Attachment {
	return (element) => {
		const observer = new IntersectionObserver(
			(entries) => {
				const last = entries.at(-1);
				if (last) say(last.isIntersecting);
			},
			{ rootMargin: '100% 0px' }
		);
		observer.observe(element);
		return () => observer.disconnect();
	};
}
