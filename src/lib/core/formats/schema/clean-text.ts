/** Control characters but tab and line end, halves of surrogate pairs, and code points that are no characters. */
const unwritable =
	// eslint-disable-next-line no-control-regex -- these are what is looked for
	/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufdd0-\ufdef\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/**
 * A text rid of what can be neither written by hand nor put into XML: control characters and halves of surrogate
 * pairs are dropped, every kind of line end becomes one. Limits as in XML 1.0, production 2 (Char), and stricter.
 */
export function cleanText(text: string): string {
	return text.replace(/\r\n?|[\u0085\u2028\u2029]/g, '\n').replace(unwritable, '');
}
