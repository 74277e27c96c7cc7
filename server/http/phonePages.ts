import escapeHtml from 'escape-html'
import type { OutingLine } from '../../contract/index.ts'

const page = (title: string, body: string) => `<!doctype html>
<html lang="en-GB">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <meta name="color-scheme" content="light dark" />
    <title>${escapeHtml(title)}</title>
    <link rel="icon" href="data:," />
    <style>
      body { font: 1.125rem/1.5 system-ui, sans-serif; max-width: 36rem; margin: 0 auto; padding: 16px; }
      h1 { font-size: 1.375rem; }
      label { display: block; margin: 16px 0 4px; }
      input, button { font: inherit; min-height: 48px; padding: 0 12px; box-sizing: border-box; width: 100%; }
      button { margin-top: 16px; }
      .code { letter-spacing: 0.1em; text-transform: uppercase; }
      li { margin: 12px 0; }
      li a { display: inline-block; min-height: 48px; line-height: 48px; margin-right: 20px; }
      [role='alert'] { border-left: 4px solid; padding-left: 12px; }
    </style>
  </head>
  <body>
    <main>
      <h1>${escapeHtml(title)}</h1>
      ${body}
    </main>
  </body>
</html>`

/** The door: asks a phone for the code that the computer shows, and says why the last one did not do. */
export const doorPage = (trouble: string | null): string =>
  page(
    'Pair this phone',
    `${trouble === null ? '' : `<p role="alert">${escapeHtml(trouble)}</p>`}
    <p>On the computer: Settings, Phones, Pair a phone. It shows a code for ten minutes.</p>
    <form method="post" action="/pair">
      <label for="code">The code</label>
      <input id="code" name="code" class="code" required maxlength="40" autocomplete="off" autocapitalize="characters" spellcheck="false" />
      <label for="name">What this phone is called, to tell it from others</label>
      <input id="name" name="name" maxlength="40" autocomplete="off" />
      <button>Pair</button>
    </form>`,
  )

/** What a phone that was let in is offered: each outing to open here, and as a file for where there is no network. */
export const outingsPage = (outings: readonly OutingLine[]): string =>
  page(
    'At the water',
    outings.length === 0
      ? '<p>No outing is planned. Plan one on the computer.</p>'
      : `<p>What you note on a page that is opened here goes home of itself when this network is near. Away from it only the file opens again: save it before you leave.</p>
    <ul>${outings
      .map(
        ({ id, on, waterName, reachName }) => `
      <li>${escapeHtml(on)}, ${escapeHtml(reachName ?? waterName)}<br />
        <a href="/outings/${id}">Open it here</a><a href="/outings/${id}/file">Save it as a file</a></li>`,
      )
      .join('')}
    </ul>`,
  )
