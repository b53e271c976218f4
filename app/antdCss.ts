import { createCache, extractStyle, StyleProvider } from '@ant-design/cssinjs';
import * as antd from 'antd';
import { createElement as element, type ReactElement } from 'react';
import { renderToString } from 'react-dom/server';
import type { Plugin } from 'vite';
import { antdTheme } from './src/theme/antd.ts';

/**
 * The styles of the interface library as a file made at the build, instead of by the page each time a part of it is first shown. Both lights
 * have the same: their colours are variables, which the page still sets.
 */
const FILE = '/antd.css';

const target = element('span');
const Notice = antd.message._InternalPanelDoNotUseOrYouWillBeFired;
const Asked = antd.Modal._InternalPanelDoNotUseOrYouWillBeFired;
/** Every part of the library that the app shows, and those they show in turn. The build ends where one is missing. */
const PARTS: readonly ReactElement[] = [
  element(antd.AutoComplete),
  element(antd.Button),
  element(antd.Checkbox),
  element(antd.DatePicker),
  element(antd.Drawer),
  element(antd.Dropdown, { menu: { items: [] } }, target),
  element(antd.Empty),
  element(antd.Form, null, element(antd.Form.Item)),
  element(antd.Image),
  element(antd.Input),
  element(antd.Input.OTP),
  element(antd.Input.Search),
  element(antd.Input.TextArea),
  element(antd.InputNumber),
  element(antd.Menu, { items: [] }),
  element(antd.Modal),
  element(Asked, { type: 'confirm' }),
  element(Notice),
  element(antd.Popconfirm, { title: '' }, target),
  element(antd.Popover, null, target),
  element(antd.Progress),
  element(antd.Radio),
  element(antd.Segmented, { options: [] }),
  element(antd.Select),
  element(antd.Skeleton),
  element(antd.Slider),
  element(antd.Space),
  element(antd.Space.Addon),
  element(antd.Spin),
  element(antd.Switch),
  element(antd.Tag, { color: 'success' }),
  element(antd.Tag, { color: 'blue' }),
  element(antd.Tooltip, null, target),
];

/** What no screen of ours has: colours by name, writing from right to left, columns of a grid, the library's own note of what it made. */
const UNUSED =
  /-(blue|purple|cyan|green|magenta|pink|red|orange|yellow|volcano|geekblue|gold|lime)\b|-rtl\b|\.ant-col-|cssinjs-cache-path/;

/** The rules of a style sheet that stand by themselves, at-rules whole. */
function rulesOf(css: string): string[] {
  const rules: string[] = [];
  let [depth, from] = [0, 0];
  for (let i = 0; i < css.length; i++) {
    if (css[i] === '{') depth++;
    if (css[i] !== '}' || --depth > 0) continue;
    rules.push(css.slice(from, i + 1));
    from = i + 1;
  }
  return rules;
}

/** Whether any selector of a rule, or of those within it, is of something that a screen of ours has. */
function isUsed(rule: string): boolean {
  const opens = rule.indexOf('{');
  if (rule.startsWith('@media')) return rulesOf(rule.slice(opens + 1, -1)).some(isUsed);
  // Commas within brackets part no selectors.
  const selectors = rule.slice(0, opens).split(/,(?![^(]*\))/);
  return !selectors.every((selector) => UNUSED.test(selector));
}

function antdCss(light: 'day' | 'night'): { css: string; has: Set<string> } {
  const cache = createCache();
  const theme = { ...antdTheme(light), zeroRuntime: false };
  const page = element(antd.ConfigProvider, { theme, wave: { disabled: true } }, ...PARTS);
  renderToString(element(StyleProvider, { cache }, page));
  const all = extractStyle(cache, { plain: true, types: 'style' });
  // The library's own note of what it made: hash|Part-piece|prefix.
  const has = new Set([...all.matchAll(/\|([A-Z][\w-]*)\|/g)].map(([, name]) => name));
  return { css: rulesOf(all).filter(isUsed).join('\n'), has };
}

/** A call of the library that makes the styles of a part, or of a piece of it, by its second argument. */
interface Maker {
  type: 'CallExpression';
  arguments: [of: { value?: string; elements?: { value: string }[] }, styles: { start: number; end: number }];
}
const MAKERS = new Set(['genStyleHooks', 'genSubStyleComponent', 'genComponentStyleHook']);

function makersIn(node: unknown): Maker[] {
  if (Array.isArray(node)) return node.flatMap(makersIn);
  if (typeof node !== 'object' || node === null) return [];
  const { type, callee } = node as { type?: string; callee?: { name?: string } };
  if (type === 'CallExpression' && MAKERS.has(callee?.name ?? '')) return [node as Maker];
  return Object.values(node).flatMap(makersIn);
}

/** What a part's styles are called in the library's note. */
const nameOf = ({ arguments: [of] }: Maker): string =>
  of.elements ? of.elements.map(({ value }) => value).join('-') : `${of.value}-${of.value}`;

/** The page is given the styles as a file, so that the code that would make them is left out of it. */
export function antdStyles(): Plugin {
  const { css, has } = antdCss('day');
  if (antdCss('night').css !== css) throw new Error('antdCss.ts: the styles are not the same in both lights');
  const madeIn = new Map<string, string[]>();
  return {
    name: 'antd-styles',
    resolveId: (id) => (id === `virtual:${FILE.slice(1)}` ? FILE : undefined),
    load: (id) => (id === FILE ? css : undefined),
    transform(code, id) {
      if (!/antd.es.[\w-]+.style.[\w-]+\.js$/.test(id)) return undefined;
      const makers = makersIn(this.parse(code));
      if (makers.length === 0) return undefined;
      madeIn.set(id, makers.map(nameOf));
      // From the last on, so that places before it stay.
      const spans = makers.map(({ arguments: [, styles] }) => styles).sort((a, b) => b.start - a.start);
      const bare = spans.reduce((text, { start, end }) => `${text.slice(0, start)}null${text.slice(end)}`, code);
      return { code: bare, map: null };
    },
    generateBundle(_, bundle) {
      const shown = Object.values(bundle).flatMap((file) =>
        file.type === 'chunk'
          ? Object.entries(file.modules).filter(([, { renderedLength }]) => renderedLength > 0)
          : [],
      );
      const lacking = shown.flatMap(([id]) => madeIn.get(id) ?? []).filter((name) => !has.has(name));
      if (lacking.length > 0) this.error(`antdCss.ts has no styles of ${[...new Set(lacking)].join(', ')}`);
    },
  };
}
