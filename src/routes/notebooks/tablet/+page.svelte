<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { send, troubleOf } from '$lib/ui/send';

	let { data } = $props();

	let trouble = $state<string>();
	let now = $state(Date.now());
	$effect(() => {
		const clock = setInterval(() => (now = Date.now()), 1000);
		return () => clearInterval(clock);
	});
	const left = $derived(data.offer ? Math.ceil((data.offer.until - now) / 1000) : 0);
	const leftWords = $derived(
		left > 60 ? `${Math.ceil(left / 60)} minutes` : `${Math.max(0, left)} seconds`
	);

	async function ask(method: 'POST' | 'DELETE', path: string) {
		const answer = await send(method, path);
		now = Date.now();
		trouble = answer.kind === 'ok' ? undefined : troubleOf(answer);
		await invalidateAll();
	}
</script>

<svelte:head><title>Tablet · Horarium</title></svelte:head>

<main id="main" class="mx-auto w-full max-w-3xl flex-1 px-5 py-5">
	<h1 class="pb-2 text-3xl">Tablet beside the book</h1>
	<p class="max-w-prose">
		The guide, the work order and what is kept can lie open on a tablet or telephone beside the
		book, while Horarium runs on this machine. It also photographs pages for this screen.
	</p>
	{#if data.addresses.length === 0}
		<div
			class="my-5 grid items-center gap-6 border-y border-hairline bg-sheet px-5 py-5 sm:grid-cols-[10rem_1fr]"
		>
			<svg viewBox="0 0 120 80" class="w-full" aria-hidden="true">
				<g class="fill-paper stroke-ink" stroke-width="1.2">
					<path d="M4 16h34q4 0 4 4v52q0-3-4-3H4zM80 16H46q-4 0-4 4v52q0-3 4-3h34z" />
					<rect x="88" y="26" width="28" height="44" rx="3" class="fill-field" />
				</g>
				<g class="fill-dot">
					{#each [0, 1, 2, 3, 4, 5] as row (row)}
						{#each [10, 17, 24, 31, 50, 57, 64, 71] as x (x)}<circle
								cx={x}
								cy={24 + row * 8}
								r="0.8"
							/>{/each}
					{/each}
				</g>
				<path d="M94 36h16M94 44h16M94 52h10" class="stroke-calm" stroke-width="2" />
			</svg>
			<div>
				<p class="pb-3">At the moment Horarium answers on this machine only.</p>
				{#if data.canShare}
					<button class="button button-main" onclick={() => ask('POST', '/app/sharing')}
						>Let devices on this network in</button
					>
				{/if}
				<p class="max-w-prose pt-3 text-ink-soft">
					Only a device that was paired with a code shown here sees anything, and it can be removed
					again. What goes over the network is not encrypted: share on a network that you trust.
					{#if !data.canShare}Start it with <code>npm start -- --share</code>.{/if}
				</p>
			</div>
		</div>
	{:else}
		<p class="pt-4">
			It answers at {#each data.addresses as address, index (address)}{index > 0 ? ', ' : ''}<span
					class="font-mono">http://{address}</span
				>{/each} too.
			{#if data.canShare && !data.onTablet}
				<button class="button ml-3" onclick={() => ask('DELETE', '/app/sharing')}
					>Stop sharing</button
				>
			{/if}
		</p>
		{#if data.onTablet}
			<p class="pt-2">Codes for further devices are shown on the machine that Horarium runs on.</p>
		{:else}
			{#if data.offer && left > 0}
				<div class="flex flex-wrap items-center gap-6 py-4">
					<img
						class="size-44 bg-print"
						src="data:image/svg+xml;utf8,{encodeURIComponent(data.offer.picture)}"
						alt="The address with the code, to be photographed by the tablet"
					/>
					<div>
						<p>Photograph this with the tablet, or open the address there and type</p>
						<p class="py-2 font-mono text-4xl tracking-widest" data-testid="code">
							{data.offer.code.slice(0, 3)}
							{data.offer.code.slice(3)}
						</p>
						<p class="text-ink-soft">
							It works for one device, once, and expires in <span class="whitespace-nowrap"
								>{leftWords}</span
							>.
						</p>
					</div>
				</div>
			{/if}
			<p class="py-2">
				<button class="button button-main" onclick={() => ask('POST', '/app/devices/code')}
					>{data.offer && left > 0 ? 'Another code' : 'Show a code'}</button
				>
			</p>
		{/if}
	{/if}
	{#if trouble}<p role="alert" class="text-caution">{trouble}</p>{/if}
	<h2 class="pt-6 pb-1 text-xl">Devices</h2>
	{#if data.devices.length === 0}
		<p class="text-ink-soft">No device is paired.</p>
	{:else}
		<ul>
			{#each data.devices as { id, name, paired } (id)}
				<li class="flex items-center gap-3 border-t border-hairline py-1">
					<span class="flex-1"
						>{name}, paired on {new Date(paired).toLocaleDateString('en-GB')}</span
					>
					<button
						class="button"
						aria-label="Remove {name}"
						onclick={() => ask('DELETE', `/app/devices/${id}`)}>Remove</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</main>
