/** One shape of a picture, where it lies on the sheet: an outline, or words. Nothing in it says what it is a shape of. */
export type DrawnShape = DrawnOutline | DrawnWords;

/** How a shape is painted; what is absent is as in SVG. */
export interface Paint {
  readonly fill?: string;
  readonly stroke?: string;
  readonly strokeWidth?: number;
  readonly opacity?: number;
  readonly fillOpacity?: number;
  readonly strokeOpacity?: number;
  readonly strokeLinecap?: 'butt' | 'round' | 'square';
  readonly strokeLinejoin?: 'miter' | 'round' | 'bevel';
  readonly strokeDasharray?: string;
  readonly paintOrder?: string;
}

export interface DrawnOutline extends Paint {
  /** Path data in absolute coordinates. */
  readonly d: string;
}

export interface DrawnWords extends Paint {
  readonly text: string;
  /** Where its baseline begins, and how it is turned: a matrix as in SVG. */
  readonly at: readonly [number, number, number, number, number, number];
  readonly fontSize: number;
  readonly fontFamily?: string;
  readonly fontWeight?: string;
  readonly textAnchor?: 'start' | 'middle' | 'end';
}

/** What is seen of an apparatus that is read, as shapes alone. A display that hops has several frames, shown in turn. */
export interface DrawnView {
  readonly name: string;
  readonly says: string;
  readonly frames: readonly (readonly DrawnShape[])[];
}

/** A picture for work that counts: it crosses the wire as lines and areas, and no property of it is the answer. */
export interface DrawnPicture {
  readonly kind: 'drawn';
  readonly model: string;
  readonly label: string;
  readonly width: number;
  readonly height: number;
  /** How much the lens enlarges it. */
  readonly zoom: number;
  /** What is chosen between its views; null where there is one. */
  readonly choose: string | null;
  readonly views: readonly DrawnView[];
  /** True where it is asked what its lines are worth. */
  readonly asksDivision: boolean;
}

export const isDrawn = (picture: { readonly kind: string }): picture is DrawnPicture =>
  picture.kind === 'drawn';
