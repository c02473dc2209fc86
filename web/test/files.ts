import { beforeEach } from 'vitest';

export { Blob as NodeBlob } from 'node:buffer';

/** The files that a page hands to the browser, since the test began. */
export function handedOver() {
  const files: { readonly name: string; readonly text: Promise<string> }[] = [];
  const blobs = new Map<string, Blob>();
  beforeEach(() => {
    files.length = 0;
    URL.createObjectURL = (blob) => {
      const url = `blob:${blobs.size}`;
      blobs.set(url, blob as Blob);
      return url;
    };
    URL.revokeObjectURL = () => undefined;
    HTMLAnchorElement.prototype.click = function click(this: HTMLAnchorElement) {
      const blob = blobs.get(this.href);
      if (blob) files.push({ name: this.download, text: blob.text() });
    };
  });
  return files;
}
