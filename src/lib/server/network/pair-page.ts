const style = `
:root{color-scheme:light dark;font:1.1rem/1.5 system-ui,sans-serif;background:light-dark(#f1eee3,#252b2d);color:light-dark(#1e2a38,#ece6d8)}
body{max-width:26rem;margin:4rem auto;padding:0 1.2rem}
label{display:block;margin:1rem 0 .2rem}
input{font:inherit;border:1px solid;border-radius:.2rem;padding:.5rem;width:100%;box-sizing:border-box}
#code{font-size:1.8rem;letter-spacing:.3em}
button{font:inherit;border:1px solid;border-radius:.2rem;background:light-dark(#1e2a38,#ece6d8);color:light-dark(#fcf9f1,#1b2123);margin-top:1.2rem;padding:.6rem 1.4rem}
[role=alert]{font-weight:600}`;

/** The one page that a device sees which is not paired: without scripts, and nothing loads from elsewhere. */
export function pairPage(code: string, trouble: string, status = 200): Response {
	const digits = /^\d{6}$/.test(code) ? code : '';
	const page = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Pair · Horarium</title><style>${style}</style></head>
<body><main>
<h1>Horarium</h1>
<p>Pair this device with the machine that Horarium runs on. The code is shown there, under Notebooks, Tablet beside the book.</p>
${trouble ? `<p role="alert">${trouble}</p>` : ''}
<form method="post" action="/pair">
<label for="code">Six digits</label>
<input id="code" name="code" inputmode="numeric" autocomplete="one-time-code" pattern="[0-9 ]{6,7}" required value="${digits}">
<label for="name">What this device is called</label>
<input id="name" name="name" maxlength="60" value="Tablet">
<button>Pair</button>
</form>
</main></body></html>`;
	return new Response(page, {
		status,
		headers: {
			'content-type': 'text/html; charset=utf-8',
			'cache-control': 'no-store',
			// A form that is sent without scripts names its origin only with this.
			'referrer-policy': 'same-origin',
			'content-security-policy':
				"default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'"
		}
	});
}
