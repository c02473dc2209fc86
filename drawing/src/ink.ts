/** The colours of the drawings: the theme's tokens on a page, their own values on paper and on the server. */
export const ink = {
  bench: 'var(--color-bench, #12302a)',
  page: 'var(--color-page, #f4f7f5)',
  ink: 'var(--color-ink, #0f1f1a)',
  rule: 'var(--color-rule, #cbd6d0)',
  beam: 'var(--color-beam, #1d7f58)',
  brass: 'var(--color-brass, #b07a12)',
  vermilion: 'var(--color-vermilion, #c0432a)',
  water: 'var(--color-water, #2a6fb0)',
  /** Lines and words on the dark bench. */
  chalk: '#e6efe9',
  faintChalk: '#8fb0a3',
  metal: '#c9d3cf',
  metalEdge: '#7f918a',
  brassMetal: '#c79a45',
  brassEdge: '#7d5d1f',
} as const;

export const figureFont = "'Atkinson Hyperlegible Mono', ui-monospace, monospace";
export const textFont = "'Atkinson Hyperlegible Next', system-ui, sans-serif";
