import { defaultHand } from '../../hand';
import { measure, oneOf, record, whole } from './rules';

export const weekStartSchema = oneOf(['monday', 'sunday', 'saturday']);

export const handSchema = record({
	lettersPerSquare: measure(0.2, 10, 'letters').default(defaultHand.lettersPerSquare),
	figuresPerSquare: measure(0.2, 10, 'figures').default(defaultHand.figuresPerSquare),
	letteringPerSquare: measure(0.1, 10, 'letters').default(defaultHand.letteringPerSquare),
	lineHeight: whole(1, 4).default(defaultHand.lineHeight),
	writes: oneOf(['left', 'right'])
}).default(defaultHand);
