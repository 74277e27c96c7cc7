import styled, { css } from 'styled-components'

/** The strip as a ruler: film, crease and bed, and a button that opens it. */
const NARROWED = css`
  button.ruler {
    display: block;
  }
  .edge,
  .head,
  .heading,
  .key,
  .line span,
  .water > :not(.line) {
    display: none;
  }
`

/** How the Column looks: the strip, the ruler that it narrows to, and the opened water. */
export const Strip = styled.aside`
  grid-area: column;
  position: relative;
  min-width: 0;
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-left: 1px solid var(--rule);
  .water {
    position: relative;
    flex: 1;
    min-height: 260px;
    background: linear-gradient(var(--waterFilm), var(--waterDeep));
    overflow: hidden;
    /* a grip missed by a hair takes no words with it */
    user-select: none;
  }
  .line {
    position: absolute;
    left: 0;
    right: 0;
    border-top: 1px solid var(--quiet);
    pointer-events: none;
  }
  .line span {
    white-space: nowrap;
    position: absolute;
    left: 2px;
    bottom: 0;
    padding: 0 2px;
    font: 0.625rem/1.1 var(--figures);
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 70%, transparent);
    border-radius: 3px;
  }
  .film {
    border-top: 2px solid var(--ink);
  }
  .crease {
    border-top-style: dashed;
  }
  .grab {
    pointer-events: auto;
    cursor: ns-resize;
    touch-action: none;
    height: 14px;
    z-index: 3;
  }
  .span {
    border-color: var(--thistle);
  }
  .span[data-end='to'] {
    border-top: 0;
    border-bottom: 1px solid var(--thistle);
  }
  .span span {
    left: 50%;
    right: auto;
    translate: -50%;
    border: 1px solid var(--thistle);
  }
  .span[data-end='from'] span[data-outside='true'],
  .span[data-end='to'] span {
    top: auto;
    bottom: 1px;
  }
  .span[data-end='from'] span[data-outside='true'] {
    bottom: 100%;
  }
  .span[data-end='to'] span[data-outside='true'] {
    top: 100%;
    bottom: auto;
  }
  .veil {
    position: absolute;
    left: 0;
    right: 0;
    background: color-mix(in srgb, var(--ground) 70%, transparent);
    pointer-events: none;
    z-index: 2;
  }
  .ice {
    background: color-mix(in srgb, var(--panel) 70%, transparent);
  }
  .section {
    position: absolute;
    inset: 0;
    background: color-mix(in srgb, var(--quiet) 22%, transparent);
    pointer-events: none;
  }
  .layer {
    white-space: nowrap;
    position: absolute;
    left: calc(50% + 6px);
    padding: 0 3px;
    font: 0.75rem/1.3 var(--figures);
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 84%, transparent);
    border-radius: 3px;
  }
  .middle {
    position: absolute;
    top: 0;
    bottom: 0;
    left: 50%;
    border-left: 1px dotted var(--quiet);
  }
  .tippet {
    position: absolute;
    left: calc(50% + 5px);
    border-left: 1px solid var(--ink);
    opacity: 0.6;
    pointer-events: none;
  }
  .grip {
    position: absolute;
    left: calc(50% + 16px);
    padding: 0 3px;
    font: 0.6875rem/1.3 var(--figures);
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 80%, transparent);
    border-radius: 3px;
    touch-action: none;
    z-index: 2;
  }
  .grip[data-drags='true'] {
    cursor: ns-resize;
    border: 1px solid var(--quiet);
  }
  .grip[data-ghost='true'] {
    left: calc(50% + 54px);
    border: 1px dashed var(--thistle);
  }
  .grip[data-trim='true'] {
    left: 34px;
  }
  .lane {
    position: absolute;
    top: 0;
    bottom: 0;
    pointer-events: none;
  }
  .leaders {
    position: absolute;
    inset: 0;
    overflow: visible;
  }
  .leaders path {
    stroke: var(--quiet);
    stroke-width: 0.75;
    fill: none;
    opacity: 0.7;
  }
  .leaders circle {
    fill: var(--thistle);
    stroke: var(--panel);
  }
  .leaders [data-lit='true'] path {
    stroke: var(--thistle);
    stroke-width: 1.5;
    opacity: 1;
  }
  .bar {
    opacity: 0.6;
    position: absolute;
    pointer-events: none;
    border-radius: 3px;
  }
  .silhouette,
  .outline {
    position: absolute;
    translate: 0 -50%;
    pointer-events: auto;
  }
  .outline {
    width: 22px;
    height: 9px;
    border: 1px dashed var(--quiet);
    border-radius: 5px;
    background: color-mix(in srgb, var(--panel) 60%, transparent);
  }
  .outline[data-look='out'],
  .outline[data-look='hole'] {
    border-color: var(--madder);
  }
  .silhouette[data-lit='true'],
  .outline[data-lit='true'] {
    outline: 2px solid var(--thistle);
    border-radius: 4px;
    z-index: 3;
  }
  .lane button,
  .members button {
    position: absolute;
    min-height: 18px;
    height: 18px;
    padding: 0 4px;
    font: 12px/16px var(--text);
    text-align: left;
    white-space: nowrap;
    color: var(--ink);
    background: color-mix(in srgb, var(--panel) 86%, transparent);
    border: 1px solid transparent;
    border-radius: 4px;
    cursor: pointer;
    pointer-events: auto;
  }
  /* as tall to the finger as its row, and a little more */
  .lane button::after {
    content: '';
    position: absolute;
    inset: -1px 0;
  }
  .lane button.group {
    color: var(--quiet);
    font-style: italic;
  }
  .lane button.hole,
  .lane button.out {
    border: 1px dashed var(--madder);
  }
  .lane button.packed {
    border: 1px solid var(--moss);
    font-weight: 650;
  }
  .lane button[data-lit='true'] {
    border: 1px solid var(--thistle);
    background: var(--panel);
    z-index: 5;
  }
  .lane button[data-pinned='true']::before {
    content: '◆ ';
    color: var(--thistle);
  }
  .members {
    position: absolute;
    z-index: 6;
    max-height: 60%;
    overflow-y: auto;
    width: max-content;
    max-width: 236px;
    background: var(--panel);
    border: 1px solid var(--quiet);
    border-radius: 6px;
    pointer-events: auto;
  }
  .members button {
    position: static;
    display: block;
    width: 100%;
    min-height: 32px;
    height: auto;
    white-space: normal;
  }
  .edge {
    position: absolute;
    top: 0;
    bottom: 0;
    left: -5px;
    width: 10px;
    padding: 0;
    border: 0;
    background: none;
    cursor: ew-resize;
    z-index: 4;
  }
  .edge::after {
    content: '';
    position: absolute;
    top: calc(50% - 18px);
    left: 3px;
    height: 36px;
    border-left: 3px double var(--quiet);
  }
  .key {
    display: flex;
    gap: 14px;
    padding: 4px 8px 5px;
    font-size: 0.75rem;
    color: var(--quiet);
  }
  .key span::before {
    content: '';
    display: inline-block;
    width: 16px;
    height: 6px;
    margin-right: 5px;
    vertical-align: 1px;
    border-radius: 2px;
    background: var(--thistle);
  }
  .key .keyFly::before {
    height: 9px;
    width: 5px;
    background: var(--moss);
    border-radius: 3px 3px 3px 1px;
  }
  .key .keyDoubt::before {
    background: linear-gradient(to right, var(--thistle), transparent);
  }
  .sr {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .heading {
    padding: 2px 8px;
    text-align: right;
    font-size: 0.75rem;
    color: var(--quiet);
  }
  button.ruler {
    display: none;
    width: 100%;
    min-height: 48px;
    text-align: center;
    color: var(--ink);
    background: none;
    border: 0;
    border-bottom: 1px solid var(--rule);
    cursor: pointer;
  }
  &[data-look='ruler'] {
    ${NARROWED}
  }
  @media (max-width: 1100px) {
    &[data-look='strip'] {
      ${NARROWED}
    }
    .edge {
      display: none;
    }
    &[data-look='open'] {
      position: fixed;
      right: 0;
      top: 0;
      bottom: 45px;
      width: min(420px, 94vw);
      z-index: 6;
      background: var(--ground);
      button.ruler {
        display: block;
      }
    }
  }
`
