import { useRef, type ReactNode } from 'react';
import { Button } from './Button';
import { download, fileName } from './download';

const enlarged = 2;

/** A plot that can be taken away, as SVG or as PNG. */
export function SavedPlot({
  name,
  wide = false,
  children,
}: {
  readonly name: string;
  readonly wide?: boolean;
  readonly children: ReactNode;
}) {
  const place = useRef<HTMLDivElement>(null);
  const file = fileName(name);
  const markup = (): string | null => {
    const svg = place.current?.querySelector('svg');
    if (!svg) return null;
    const copy = svg.cloneNode(true) as SVGSVGElement;
    const { width, height } = svg.viewBox.baseVal;
    copy.setAttribute('width', String(width));
    copy.setAttribute('height', String(height));
    // What is out of sight while it moves is saved where it will be.
    for (const hidden of copy.querySelectorAll('[display=none]')) hidden.removeAttribute('display');
    return new XMLSerializer().serializeToString(copy);
  };
  const asSvg = () => {
    const text = markup();
    if (text) download(`${file}.svg`, 'image/svg+xml', text);
  };
  const asPng = async () => {
    const text = markup();
    if (!text) return;
    const picture = new Image();
    picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
    await picture.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [picture.width * enlarged, picture.height * enlarged];
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    canvas.toBlob((blob) => blob && download(`${file}.png`, 'image/png', blob));
  };
  return (
    <div>
      <div ref={place} className={wide ? undefined : 'max-w-[720px]'}>
        {children}
      </div>
      <p className="no-print text-sm">
        <Button look="quiet" className="text-sm" onClick={asSvg}>
          Save as SVG
        </Button>{' '}
        <Button look="quiet" className="text-sm" onClick={() => void asPng()}>
          Save as PNG
        </Button>
      </p>
    </div>
  );
}
