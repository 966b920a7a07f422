import { toast } from 'svelte-sonner';
import { focusOn, hasFocus } from './focus';
import { send, troubleOf } from './send';

/**
 * Marks something kept as deleted, and offers the way back for a while; `changed` is called after each
 * of both. What is deleted stays in the database, so the way back also stands on the list's screen.
 */
export async function deleteWithUndo(
	path: string,
	name: string,
	changed: () => Promise<unknown>
): Promise<void> {
	const row = document.activeElement?.closest('li');
	const neighbour = row?.nextElementSibling ?? row?.previousElementSibling;
	if (!(await setDeleted(path, true, changed))) return;
	// Whoever has gone on meanwhile is not called back.
	if (!hasFocus()) neighbour?.querySelector<HTMLElement>('a, button')?.focus();
	toast(`“${name}” was deleted.`, {
		action: { label: 'Undo', onClick: () => void setDeleted(path, false, changed) }
	});
}

/** Deletes or brings back; says so when it did not work. */
export async function setDeleted(
	path: string,
	deleted: boolean,
	changed: () => Promise<unknown>
): Promise<boolean> {
	const answer = await send('PATCH', path, { deleted });
	if (answer.kind === 'ok') {
		await changed();
		// What came back has its place on the screen at its own address.
		if (!deleted) await focusOn(`main a[href="${path.replace('/app/', '/')}"]`);
		return true;
	}
	toast.error(troubleOf(answer));
	return false;
}
