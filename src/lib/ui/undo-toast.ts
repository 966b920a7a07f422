import { toast } from 'svelte-sonner';
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
	if (!(await setDeleted(path, true, changed))) return;
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
		return true;
	}
	toast.error(troubleOf(answer));
	return false;
}
