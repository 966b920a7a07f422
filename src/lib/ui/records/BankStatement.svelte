<script lang="ts">
	import { untrack } from 'svelte';
	import { formatMonth } from '$lib/core/month';
	import {
		bookingsFor,
		bookingsIn,
		categoryOf,
		dateOrders,
		guessHabits,
		intoRows,
		isTaken,
		learned,
		moneyText,
		readStatement,
		signatureOf,
		statementText,
		tablesLike,
		type BankBooking,
		type BankHabits,
		type BankKnown,
		type Statement,
		type Tracker
	} from '$lib/core/records';
	import Select from '../fields/Select.svelte';
	import Check from '../fields/Check.svelte';
	import type { MonthDesk } from '../month/month-desk.svelte';
	import { send } from '../send';
	import { monthWords } from '../words';
	import type { RecordsDesk } from './records-desk.svelte';

	interface Props {
		desk: MonthDesk;
		records: RecordsDesk;
		tracker: Tracker;
		/** Everything of the month that is filled in: another table of the same kind takes what does not fit. */
		trackers: readonly Tracker[];
		bank: BankKnown;
	}
	/** Bookings of a bank’s statement, looked at before they are written into a table. */
	let { desk, records, tracker, trackers, bank }: Props = $props();

	const mostBytes = 5_000_000;
	let known = $state.raw(untrack(() => bank));
	let file = $state.raw<{ readonly name: string; readonly statement: Statement }>();
	let habits = $state.raw<BankHabits>();
	let told = $state<string>();
	/** Bookings that are not wanted. */
	let left = $state.raw<readonly string[]>([]);
	/** What the person said a booking was for. */
	let said = $state.raw<Readonly<Record<string, string | undefined>>>({});

	const month = $derived(formatMonth(desk.plan.month));
	const read = $derived(file && habits ? bookingsIn(file.statement, habits) : undefined);
	const ours = $derived(read ? bookingsFor(tracker, month, read.bookings) : []);
	const fresh = $derived(ours.filter((booking) => !isTaken(booking, records.known)));
	const wanted = $derived(fresh.filter(({ key }) => !left.includes(key)));
	const purpose = (booking: BankBooking) => said[booking.key] ?? categoryOf(booking, known.rules);
	const result = $derived(
		intoRows(
			tablesLike(tracker, trackers),
			wanted.map((booking) => ({ booking, category: purpose(booking) })),
			records.known
		)
	);
	const categories = $derived(
		[...new Set([...known.rules.map(({ category }) => category), ...Object.values(said)])].filter(
			(category) => category !== undefined && category !== ''
		)
	);
	const listId = $props.id();
	const columns = $derived(
		file?.statement.columns.map((name, at) => ({
			value: String(at),
			label: name || `column ${at + 1}`
		})) ?? []
	);
	const orderWords = { ymd: 'year, month, day', dmy: 'day, month, year', mdy: 'month, day, year' };

	async function took(files: FileList | null) {
		const [one] = files ?? [];
		if (!one) return;
		file = undefined;
		told = undefined;
		if (one.size > mostBytes) {
			told = `“${one.name}” is larger than 5 MB: nothing was taken from it.`;
			return;
		}
		const statement = readStatement(statementText(new Uint8Array(await one.arrayBuffer())));
		if ('says' in statement) {
			told = `“${one.name}”, line ${statement.line}: ${statement.says}. Nothing was taken from it.`;
			return;
		}
		const signature = signatureOf(statement);
		const habit =
			known.banks.find((bank) => bank.signature === signature)?.habits ??
			guessHabits(statement, desk.plan.locale);
		[left, said] = [[], {}];
		file = { name: one.name, statement };
		habits = habit ?? { day: 0, text: 1, amount: 2, order: 'dmy', decimal: '.' };
		if (!habit) told = 'Say which columns hold the day, the words and the sum.';
	}

	const set = (part: Partial<BankHabits>) => habits && (habits = { ...habits, ...part });

	function take() {
		if (!file || !habits) return;
		const [taken, { changes, without }] = [wanted, result];
		const count = taken.length - without.length;
		const signature = signatureOf(file.statement);
		const banks = [
			{ signature, habits },
			...known.banks.filter((bank) => bank.signature !== signature)
		].slice(0, 50);
		const rules = taken
			.filter(({ key }) => said[key])
			.reduce((all, booking) => learned(all, booking, said[booking.key] ?? ''), known.rules)
			.slice(0, 2000);
		known = { banks, rules };
		void send('PUT', '/app/bank', known);
		records.change(changes);
		told = `${count} ${count === 1 ? 'booking was' : 'bookings were'} written in. Undo takes them away again.`;
		file = undefined;
	}
</script>

<details class="mt-4 border-t border-hairline pt-3">
	<summary class="cursor-pointer font-serif text-lg">From a bank’s statement</summary>
	<label class="flex flex-wrap items-center gap-2 py-2 text-sm">
		A statement as CSV
		<input
			class="max-w-full"
			type="file"
			accept=".csv,.txt,text/csv"
			onchange={(event) => took(event.currentTarget.files)}
		/>
	</label>
	{#if told}<p role="status" class="pb-2">{told}</p>{/if}
	{#if file && habits}
		<fieldset class="flex flex-wrap items-end gap-3 pb-3">
			<legend class="pb-1 text-sm text-ink-soft"
				>How this bank formats its statements (remembered for next time)</legend
			>
			{#each [{ label: 'Day', part: 'day' }, { label: 'Words', part: 'text' }, { label: 'Sum', part: 'amount' }] as const as { label, part } (part)}
				<Select
					{label}
					value={String(habits[part])}
					options={columns}
					onchange={(column) => set({ [part]: Number(column) })}
				/>
			{/each}
			<Select
				label="What came in"
				value={habits.came === undefined ? '' : String(habits.came)}
				options={[{ value: '', label: 'the same column' }, ...columns]}
				onchange={(column) => set({ came: column === '' ? undefined : Number(column) })}
			/>
			<Select
				label="Dates are"
				value={habits.order}
				options={dateOrders.map((value) => ({ value, label: orderWords[value] }))}
				onchange={(order) => set({ order })}
			/>
			<Check
				label="Expenses are entered as positive amounts"
				checked={habits.turned ?? false}
				onchange={(turned) => set({ turned })}
			/>
		</fieldset>
		{#if ours.length === 0}
			<p>“{file.name}” holds nothing of {monthWords(month)} for this table.</p>
		{:else}
			<p class="pb-1">
				{ours.length} of {monthWords(month)}{ours.length > fresh.length
					? `, ${ours.length - fresh.length} of them written in before`
					: ''}{result.without.length > 0
					? `; ${result.without.length} do not fit the rows that are left`
					: ''}.
			</p>
			<datalist id="{listId}-categories">
				{#each categories as category (category)}<option value={category}></option>{/each}
			</datalist>
			<ul class="max-h-80 overflow-y-auto border-y border-hairline">
				{#each fresh as booking (booking.key)}
					<li
						class="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1 last:border-0"
					>
						<span class="min-w-0 flex-1 basis-56">
							<Check
								label="{Number(booking.date.slice(-2))}  {booking.text}"
								checked={!left.includes(booking.key)}
								onchange={(on) =>
									(left = on ? left.filter((key) => key !== booking.key) : [...left, booking.key])}
							/>
						</span>
						<span class="w-20 text-right font-serif">{moneyText(Math.abs(booking.out))}</span>
						<input
							class="field w-32"
							list="{listId}-categories"
							aria-label="What {booking.text} was for"
							placeholder="for"
							value={purpose(booking)}
							onchange={(event) =>
								(said = { ...said, [booking.key]: event.currentTarget.value.trim() })}
						/>
					</li>
				{/each}
			</ul>
			<p class="flex flex-wrap gap-3 pt-3">
				{#if wanted.length > result.without.length}
					<button class="button button-main" onclick={take}
						>Write {wanted.length - result.without.length} into “{tracker.name}”</button
					>
				{/if}
				{#if result.without.length > 0}
					<button class="button" onclick={() => desk.duplicate(tracker.wish.id)}
						>Plan another page for {result.without.length === 1
							? 'the one that does not fit'
							: `the ${result.without.length} that do not fit`}</button
					>
				{/if}
			</p>
		{/if}
		{#if read && read.faults.length > 0}
			<ul class="mt-2 border-l-4 border-caution bg-caution-ground px-3 py-2 text-sm">
				{#each read.faults.slice(0, 5) as { line, says } (line)}<li>line {line} {says}</li>{/each}
				{#if read.faults.length > 5}<li>and {read.faults.length - 5} more</li>{/if}
			</ul>
		{/if}
	{/if}
</details>
