import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css'
import { createGlobalStyle } from 'styled-components'
import { asCss } from './tokens.ts'

/** Type, colours and the few rules that hold everywhere. */
export const GlobalStyle = createGlobalStyle`
  :root {
    ${asCss('day')}
    color-scheme: light;
    --text: 'Atkinson Hyperlegible Next Variable', system-ui, sans-serif;
    --figures: 'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace;
  }
  @media (prefers-color-scheme: dark) {
    :root:not([data-theme='day']) { ${asCss('night')} color-scheme: dark; }
  }
  :root[data-theme='night'] { ${asCss('night')} color-scheme: dark; }
  *, *::before, *::after { box-sizing: border-box; }
  body {
    margin: 0;
    background: var(--ground);
    color: var(--ink);
    font: 16px/1.4 var(--text);
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure, table { margin: 0; padding: 0; }
  h1 { font-size: 1.375rem; font-weight: 650; line-height: 1.2; }
  h2 { font-size: 1rem; font-weight: 650; }
  ul, ol { list-style: none; }
  a { color: var(--thistle); text-underline-offset: 2px; }
  table { border-collapse: collapse; width: 100%; }
  :focus-visible { outline: 2px solid var(--thistle); outline-offset: 2px; border-radius: 3px; }
  .figures { font-family: var(--figures); font-variant-numeric: tabular-nums; font-size: 0.94em; }
  .visually-hidden {
    position: absolute; width: 1px; height: 1px; margin: -1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap;
  }
  @media (max-width: 700px) { main input, main select, main textarea, main fieldset { max-width: 100%; } }
  a.skip { position: absolute; left: 8px; top: -60px; padding: 8px 12px; background: var(--panel); border: 1px solid var(--thistle); border-radius: 6px; z-index: 9; }
  a.skip:focus { top: 8px; }
  h1:focus-visible { outline: none; text-decoration: underline 2px var(--thistle); text-underline-offset: 4px; }
  .printed { display: none; }
  @media print {
    @page { margin: 8mm; }
    body:has(> .printed) > :not(.printed) { display: none; }
    .printed { display: block; width: 100%; height: auto; }
    .plan { color: #000; background: #fff; font-size: 9pt; }
    .plan section { break-inside: avoid; }
    .plan table { table-layout: fixed; }
    .plan td { vertical-align: top; padding: 2mm; border: 0.3mm solid #000; }
    .plan ul { margin: 1mm 0 0; padding: 0; list-style: none; }
  }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { animation: none !important; transition: none !important; }
  }
`
