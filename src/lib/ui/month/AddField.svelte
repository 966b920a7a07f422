<script lang="ts">
	import { Combobox } from 'bits-ui';
	import { page } from '$app/state';
	import { isMeant, kindById, kinds, kindsCalled } from '$lib/core/catalogue';
	import type { Wish } from '$lib/core/wish';
	import type { MonthDesk } from './month-desk.svelte';

	interface Props {
		desk: MonthDesk;
		/** The wish that what is added stands with; without one it is the month's own. */
		host?: Wish;
	}
	/** One field in which whatever people call a page finds its kind; choosing adds it. */
	let { desk, host }: Props = $props();

	/** What most months hold, before anything is typed. */
	const pages = [
		'cover',
		'month-calendar',
		'dashboard',
		'habits',
		'mood',
		'spending',
		'weekly-pages',
		'brain-dump'
	];
	/** What stands beside a calendar or on a page with others. */
	const small = ['tasks', 'goals', 'events', 'quote', 'mood', 'habits', 'currently', 'notes'];
	/** What repeats on the pages of every week, or is seen all through them. */
	const weekly = [
		'tasks',
		'month-calendar',
		'week-tracker',
		'meals',
		'quote',
		'currently',
		'task-bank',
		'notes'
	];
	const mostFound = 9;

	let typed = $state('');
	let open = $state(false);
	/** After each choice the field begins anew, empty. */
	let turn = $state(0);
	/** Whether the arrow keys have led elsewhere in the list since. */
	let walked = false;

	interface Entry {
		readonly key: string;
		readonly name: string;
		readonly about: string;
	}
	const own = $derived(
		(page.data.ownKinds ?? []).map(({ id, name, wish }) => ({
			key: id,
			name,
			about: `Your own, from ${kindById(wish.kind)?.name ?? wish.kind}.`,
			kind: wish.kind
		}))
	);
	const found = $derived.by((): Entry[] => {
		if (typed.trim() === '') {
			const usual = host?.weeks ? weekly : host ? small : pages;
			return usual.flatMap((id) => kindById(id) ?? []).map(entryOf);
		}
		const mine = host ? [] : own.filter((one) => isMeant(one, typed));
		return [...mine, ...kindsCalled(typed).map(entryOf)].slice(0, mostFound);
	});
	const entryOf = ({ id, name, about }: (typeof kinds)[number]): Entry => ({
		key: id,
		name,
		about
	});

	/** Who types and presses Enter means what comes first; the list marks it a moment later. */
	function pressed(event: KeyboardEvent) {
		const [first] = found;
		if (event.key.startsWith('Arrow')) walked = true;
		if (event.key !== 'Enter' || walked || typed.trim() === '' || !first) return;
		event.preventDefault();
		add(first.key);
	}

	/** What is added is opened, and is where the hand goes on. */
	function add(key: string) {
		if (key === '') return;
		const mine = page.data.ownKinds?.find(({ id }) => id === key);
		if (host) desk.addMember(host.id, key);
		else if (mine) desk.addWish(mine.wish);
		else desk.add(key);
		typed = '';
		open = false;
		turn += 1;
		desk.entersSettings = true;
	}
</script>

{#key turn}
	<Combobox.Root type="single" bind:open onValueChange={add}>
		<Combobox.Input
			class="field min-w-0 flex-1 placeholder:text-ink-soft"
			placeholder={host ? 'Add to this page' : 'What do you want to keep?'}
			aria-label={host ? 'Add to this page' : 'Add a page'}
			data-testid={host ? 'add-member' : 'add-wish'}
			autocomplete="off"
			oninput={(event) => {
				typed = event.currentTarget.value;
				walked = false;
			}}
			onclick={() => (open = true)}
			onkeydown={pressed}
		/>
		<Combobox.Content
			strategy="fixed"
			align="start"
			sideOffset={2}
			collisionPadding={8}
			class="z-50 max-h-(--bits-floating-available-height) w-80 max-w-[calc(100vw-1rem)] overflow-y-auto border border-ink-soft bg-field py-1 shadow-md"
		>
			{#each found as { key, name, about } (key)}
				<Combobox.Item
					value={key}
					label={name}
					class="cursor-pointer px-3 py-1.5 data-highlighted:bg-chosen"
				>
					<span class="block font-serif text-lg leading-tight">{name}</span>
					<span class="block text-sm text-ink-soft">{about}</span>
				</Combobox.Item>
			{:else}
				<p class="px-3 py-1.5 text-sm" role="status">
					Nothing found. Try another word, or choose “Sections” to make a page of your own.
				</p>
			{/each}
		</Combobox.Content>
	</Combobox.Root>
{/key}
