/** What a person rules and measures with. */
export interface Tools {
	/** How long their ruler is. */
	readonly rulerCm: number;
	/** Whether they have a compass. */
	readonly compass: boolean;
}

export const usualTools: Tools = { rulerCm: 30, compass: true };
