<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import {
		comparedIn,
		changesIn,
		leftIn,
		tableWords,
		type Compared,
		type Left
	} from '$lib/ui/share/compared';
	import { send, troubleOf } from '$lib/ui/send';
	import { saveFile } from '$lib/ui/sheets/archive';
	import Notices from '$lib/ui/shell/Notices.svelte';

	let { data } = $props();

	type Bringing =
		| { readonly kind: 'none' }
		| { readonly kind: 'busy'; readonly says: string }
		| { readonly kind: 'refused'; readonly says: string }
		| {
				readonly kind: 'looked';
				readonly file: File;
				readonly tables: readonly Compared[];
				readonly left: readonly Left[];
		  };
	/** What was left out of what was brought in last. */
	let leftOut = $state.raw<readonly Left[]>([]);
	let bringing = $state.raw<Bringing>({ kind: 'none' });
	const mostNamed = 12;
	let saving = $state(false);
	/** How often something was brought in: the file's field is empty again then. */
	let brought = $state(0);
	/** The copy that is about to be gone back to. */
	let asked = $state<string>();

	async function post(file: File, way: 'look' | 'merge' | 'add') {
		const answer = await fetch(`/app/everything?way=${way}`, {
			method: 'POST',
			headers: { 'content-type': 'application/zip' },
			body: file
		}).catch(() => undefined);
		const body: unknown = await answer?.json().catch(() => undefined);
		return { ok: answer?.ok ?? false, body };
	}

	async function save() {
		saving = true;
		try {
			const answer = await fetch('/app/everything');
			if (!answer.ok) throw new Error('Horarium could not put the file together. Try again.');
			saveFile(
				await answer.blob(),
				/"(.+)"/.exec(answer.headers.get('content-disposition') ?? '')?.[1]
			);
		} catch (error) {
			toast.error(error instanceof Error ? error.message : 'Horarium does not answer. Try again.');
		} finally {
			saving = false;
		}
	}

	async function look(files: FileList | null) {
		const [file] = files ?? [];
		if (!file) return;
		bringing = { kind: 'busy', says: `“${file.name}” is being looked at …` };
		const { ok, body } = await post(file, 'look');
		const tables = comparedIn(body);
		bringing =
			ok && tables
				? { kind: 'looked', file, tables, left: leftIn(body) }
				: { kind: 'refused', says: saidIn(body) };
	}

	async function take(file: File, way: 'merge' | 'add') {
		bringing = { kind: 'busy', says: `“${file.name}” is being brought in …` };
		const { ok, body } = await post(file, way);
		bringing = ok ? { kind: 'none' } : { kind: 'refused', says: saidIn(body) };
		if (!ok) return;
		brought++;
		leftOut = leftIn(body);
		await invalidateAll();
		toast('It is brought in. What was here before is the first of the copies below.');
	}

	async function goBack(file: string) {
		const answer = await send('POST', '/app/copies', { file });
		asked = undefined;
		if (answer.kind !== 'ok') {
			bringing = { kind: 'refused', says: troubleOf(answer) };
			return;
		}
		leftOut = leftIn(answer.body);
		await invalidateAll();
		toast('Everything is as it was then. What was here before is the first of the copies.');
	}

	function saidIn(body: unknown): string {
		const detail =
			typeof body === 'object' && body !== null && 'detail' in body ? body.detail : undefined;
		return typeof detail === 'string' ? detail : 'Horarium does not answer. Try again.';
	}

	const dayWords = (day: string) =>
		new Date(day).toLocaleDateString('en-GB', {
			weekday: 'long',
			day: 'numeric',
			month: 'long',
			year: 'numeric',
			timeZone: 'UTC'
		});
	const sizeWords = (bytes: number) =>
		bytes < 1_000_000 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
</script>

<svelte:head><title>Backups · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-3xl flex-1 px-5 py-5">
	<h1 class="pb-2 text-3xl">Backups</h1>
	<p class="max-w-prose">
		Notebooks, months, what was filled in, your hand, inks and evenings, sets, kinds, fonts and
		printers: all of it in one ZIP, as plain JSON and CSV that any program can read, and every
		month’s pages as a PDF.
	</p>
	<p class="py-4">
		<button class="button button-main" disabled={saving} onclick={save}>
			{saving ? 'Every page is being drawn …' : 'Save everything'}
		</button>
	</p>

	<h2 class="border-t border-hairline pt-4 pb-1 text-2xl">Bring it in</h2>
	<p class="pb-2 text-ink-soft">
		From another machine, or from an earlier backup. You see what would change first; nothing is
		deleted.
	</p>
	<label class="flex flex-col gap-1">
		<span class="text-sm text-ink-soft">A file that was saved here (.zip)</span>
		{#key brought}
			<input
				type="file"
				accept=".zip,application/zip"
				class="max-w-full"
				onchange={(event) => look(event.currentTarget.files)}
			/>
		{/key}
	</label>
	{#if bringing.kind === 'none'}
		{@render unread(leftOut, 'could not be read and was left out')}
	{:else if bringing.kind === 'busy'}
		<p class="py-3" role="status">{bringing.says}</p>
	{:else if bringing.kind === 'refused'}
		<p class="my-3 bg-caution-ground px-3 py-2" role="alert">Nothing was taken: {bringing.says}</p>
	{:else if bringing.kind === 'looked'}
		{@const { file, tables, left } = bringing}
		<table class="my-3 w-full text-left">
			<caption class="pb-1 text-left">What “{file.name}” holds</caption>
			<thead class="text-sm text-ink-soft">
				<tr>
					<th class="font-normal"></th><th class="font-normal">new</th><th class="font-normal"
						>different here</th
					><th class="font-normal">the same</th>
				</tr>
			</thead>
			<tbody>
				{#each tables.filter(({ added, changed, same }) => added + changed + same > 0) as { table, added, changed, same } (table)}
					<tr class="border-t border-hairline">
						<th scope="row" class="py-1 font-normal">{tableWords[table] ?? table}</th>
						<td class="font-serif text-lg {added > 0 ? 'text-rubric' : ''}">{added}</td>
						<td class="font-serif text-lg {changed > 0 ? 'text-rubric' : ''}">{changed}</td>
						<td class="font-serif text-lg">{same}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{@render unread(left, 'cannot be read and stays in the file')}
		{#if changesIn(tables).added + changesIn(tables).changed === 0}
			<p role="status">All of it is here already.</p>
		{:else}
			<p class="flex flex-wrap gap-3">
				<button class="button button-main" onclick={() => take(file, 'merge')}
					>Import everything, overwrite differences</button
				>
				{#if changesIn(tables).added > 0}
					<button class="button" onclick={() => take(file, 'add')}
						>Only what is new: what is here stays as it is</button
					>
				{/if}
			</p>
		{/if}
	{/if}

	<h2 class="mt-6 border-t border-hairline pt-4 pb-1 text-2xl">Automatic backups</h2>
	<p class="pb-2 text-ink-soft">
		Horarium copies the database once a day and keeps the last seven copies. It also makes one
		before anything is brought in; those stay for thirty days, and the last three always.
	</p>
	<ul>
		{#each data.copies as { file, day, time, before, wrongClock, bytes } (file)}
			{@const said = `${dayWords(day)}${before ? `, ${time ? `${time}, ` : ''}before a change` : ''}`}
			<li class="flex flex-wrap items-center gap-3 border-b border-hairline py-2">
				<span class="flex-1"
					>{said}{wrongClock ? ': this machine’s clock was wrong then' : ''}
					<span class="text-sm text-ink-soft">{sizeWords(bytes)}</span></span
				>
				{#if asked === file}
					<span class="text-sm">Everything newer is set aside.</span>
					<button class="button" onclick={() => goBack(file)}>Yes, go back</button>
					<button class="button button-quiet" onclick={() => (asked = undefined)}>No</button>
				{:else}
					<button
						class="button button-quiet"
						aria-label="Go back to it: {said}"
						onclick={() => (asked = file)}>Go back to it</button
					>
				{/if}
			</li>
		{:else}
			<li class="text-ink-soft">There is none yet.</li>
		{/each}
	</ul>
</main>

{#snippet unread(left: readonly Left[], words: string)}
	{#if left.length > 0}
		<div class="my-3 bg-caution-ground px-3 py-2" role="status">
			<p>{left.length === 1 ? 'One thing' : `${left.length} things`} {words}:</p>
			<ul class="list-disc pl-5">
				{#each left.slice(0, mostNamed) as { what, name, reason }, at (at)}
					<li>{tableWords[what] ?? what}{name ? `, “${name}”` : ''}: {reason}</li>
				{/each}
				{#if left.length > mostNamed}<li>and {left.length - mostNamed} more</li>{/if}
			</ul>
		</div>
	{/if}
{/snippet}
<Notices />
