import { describe, expect, it } from '@jest/globals';
import { ownFile, styleNonce } from './trust.ts';

describe('a program', () => {
  it.each(['/assets/work.worker-a1b2.js', '/sw.js', `${window.location.origin}/assets/x.js`])(
    '%s is of the app',
    (url) => {
      expect(ownFile(url)).toBe(url);
    },
  );
  it.each([
    'https://elsewhere.example/assets/x.js',
    'data:text/javascript,1',
    'blob:http://localhost/1',
    '/assets/../x.js',
    '/assets/x.js?y',
    '/assets/x.css',
    '/api/x.js',
  ])('%s is not', (url) => expect(() => ownFile(url)).toThrow(TypeError));
});

describe('the mark of the page’s own styles', () => {
  it('is read where the server put it', () => {
    expect(styleNonce()).toBeUndefined();
    const meta = document.createElement('meta');
    meta.setAttribute('property', 'csp-nonce');
    meta.nonce = 'abc';
    document.head.append(meta);
    expect(styleNonce()).toBe('abc');
    meta.remove();
  });
});
