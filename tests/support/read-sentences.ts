import type { Size } from '../../src/lib/core/paper';

/** What a step of the guide says in words, as the numbers that it must have; written from the words alone. */
export function readSentence(sentence: string, page: Size): object {
	const tick =
		/^Tick (?:the|every) tenth dot (?:to the )?(right|left|down|up) from (.+?)(?:, (\d+) in all)?: (?:the last is )?dot \((\d+), (\d+)\)\.$/.exec(
			sentence
		);
	if (tick)
		return {
			kind: 'tick',
			reference: dotOf(tick[2] ?? '', page),
			direction: tick[1],
			times: Number(tick[3] ?? 1)
		};
	const compass =
		/^Set the compass on (.*?)\. Open it to (.*?)(?: \(([\d.]+) mm\))?\. Draw the (half )?circle(?: above it)?\.$/.exec(
			sentence
		);
	if (compass) {
		const on = placeOf(compass[1] ?? '', page);
		return {
			kind: 'compass',
			begin: on,
			end: placeOf(compass[2] ?? '', page, on.at),
			part: compass[4] ? 'upper' : 'whole',
			...(compass[3] ? { mm: Number(compass[3]) } : {})
		};
	}
	const begin = /^Begin at ([^.]*)\. /.exec(sentence);
	if (!begin) throw new Error(sentence);
	const from = placeOf(begin[1] ?? '', page);
	const rest = sentence.slice(begin[0].length);
	const write = /^(Write|Draw) (.*)\.$/s.exec(rest);
	if (write) return { kind: 'write', begin: from, texts: textsOf(write[2] ?? '', from.at) };
	const end = /^End at ([^.]*)\. /.exec(rest);
	if (!end) throw new Error(sentence);
	const to = placeOf(end[1] ?? '', page, from.at);
	const what = rest.slice(end[0].length);
	const again =
		/, and (one|\d+) more like it, (?:each )?(\d+) (?:squares?|dots?) further (right|down)\.$/.exec(
			what
		);
	const kind = what.startsWith('Rule the line') ? 'rule' : 'tint';
	const plain = kind === 'rule' ? 'Rule the line.' : ' between them.';
	if (!again && !what.endsWith(plain)) throw new Error(what);
	const repeat = again && {
		times: again[1] === 'one' ? 1 : Number(again[1]),
		every: Number(again[2]),
		direction: again[3]
	};
	return { kind, begin: from, end: to, ...(repeat ? { repeat } : {}) };
}

interface Point {
	readonly x: number;
	readonly y: number;
}

function dotOf(words: string, page: Size): Point {
	const corner = /^the (top|bottom) (left|right) corner$/.exec(words);
	if (corner) return { x: corner[2] === 'left' ? 0 : page.w, y: corner[1] === 'top' ? 0 : page.h };
	const named = /^dot \((\d+), (\d+)\)$/.exec(words);
	if (!named) throw new Error(words);
	return { x: Number(named[1]), y: Number(named[2]) };
}

function placeOf(words: string, page: Size, before?: Point) {
	const counted = /^(dot \(\d+, \d+\)), (.+) from (.+)$/.exec(words);
	if (!counted) {
		const at = dotOf(words, page);
		return { at, reference: at, count: { across: 0, down: 0 } };
	}
	const at = dotOf(counted[1] ?? '', page);
	const ways = counted[2] ?? '';
	const across = /(\d+) (left|right)/.exec(ways);
	const down = /(\d+) (up|down)/.exec(ways);
	const reference = counted[3] === 'there' ? before : dotOf(counted[3] ?? '', page);
	return {
		at,
		reference,
		count: {
			across: Number(across?.[1] ?? 0) * (across?.[2] === 'left' ? -1 : 1),
			down: Number(down?.[1] ?? 0) * (down?.[2] === 'up' ? -1 : 1)
		}
	};
}

function textsOf(words: string, at: Point) {
	const first = /^“(.*?)” right below it/s.exec(words);
	if (!first) throw new Error(words);
	const others = [
		...words
			.slice(first[0].length)
			.matchAll(/, then “(.*?)” below dot \((\d+), (\d+)\)(?=, then “|$)/gs)
	];
	return [
		{ text: first[1], at },
		...others.map((other) => ({ text: other[1], at: { x: Number(other[2]), y: Number(other[3]) } }))
	];
}
