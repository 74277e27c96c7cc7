declare global {
  interface Window {
    __webpack_nonce__?: string
  }
}

/** styled-components and React Aria read the nonce from here; the server puts a fresh one into every page. */
window.__webpack_nonce__ = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? ''

export {}
