import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import type { HtmlTagDescriptor, Plugin } from 'vite';
import { FirstSight } from './src/shell/Beam';

/** Letters that every page is written in. */
const first = /next-latin-[47]00-normal.*woff2$|mono-latin-400-normal.*woff2$/;

/** Puts what every page begins with into the HTML itself, and has its letters fetched together with the scripts. */
export const firstSight = (): Plugin => ({
  name: 'first-sight',
  transformIndexHtml: {
    order: 'post',
    handler: (html, { bundle }) => ({
      html: html.replace(
        '<div id="root"></div>',
        `<div id="root">${renderToStaticMarkup(createElement(FirstSight))}</div>`,
      ),
      tags: Object.keys(bundle ?? {})
        .filter((file) => first.test(file))
        .map((file): HtmlTagDescriptor => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: '' },
          injectTo: 'head',
        })),
    }),
  },
});
