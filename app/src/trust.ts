/** What the browser asks of a page that says it trusts no text as a program (W3C Trusted Types); not every browser has it. */
interface TrustedTypes {
  createPolicy: (name: 'default', rules: { createScriptURL: (url: string) => string }) => unknown;
}

/**
 * The one policy of the page: programs, for workers and for use without a network, come from files of the app itself and from nowhere else.
 * No text is ever made into elements or into a program.
 */
export function trustOwnFiles(): void {
  const { trustedTypes } = globalThis as { trustedTypes?: TrustedTypes };
  trustedTypes?.createPolicy('default', { createScriptURL: ownFile });
}

/** The address of a program of the app's own. @throws TypeError for any other. */
export function ownFile(url: string): string {
  const { origin, pathname, search, hash } = new URL(url, window.location.href);
  const own =
    origin === window.location.origin && /^\/(sw\.js|assets\/[\w.-]+\.js)$/.test(pathname) && search + hash === '';
  if (!own) throw new TypeError('a program is taken from the app’s own files only');
  return url;
}

/** What marks the styles the page writes into itself as its own; the server makes it anew for each answer. */
export const styleNonce = (): string | undefined =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce || undefined;
