/** Whether a key is typed into a field, where shortcuts of one letter must stay out of the way. */
export function isTyping(event: KeyboardEvent): boolean {
	const target = event.target;
	return (
		target instanceof HTMLElement &&
		(target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
	);
}
