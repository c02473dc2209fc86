/** Hands a text to the browser as a file. */
export function download(name: string, type: string, content: string | Blob): void {
  const url = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser takes the file in its own time.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A title as the name of a file: letters and digits, joined by hyphens. */
export const fileName = (title: string): string =>
  title
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();
