/** Values put into sorts, numbered from 0. */
export class Sorts<T> {
	readonly all: T[] = [];
	private readonly numbers = new Map<string, number>();

	constructor(private readonly nameOf: (value: T) => string) {}

	of(value: T): number {
		const name = this.nameOf(value);
		const known = this.numbers.get(name);
		if (known !== undefined) return known;
		this.numbers.set(name, this.all.length);
		this.all.push(value);
		return this.all.length - 1;
	}
}
