/**
 * What jsdom answers by looking through the whole page, answered from where it is asked: half of the time of the tests.
 */

/**
 * What a page of the tests looks like comes from elements and their own `style` alone: there are no sheets. jsdom
 * nevertheless asks all of its rules for every element, which is most of what finding something by its role costs.
 */
export function quickStyles(): void {
  const whole = globalThis.getComputedStyle;
  const ofTags = new Map<string, CSSStyleDeclaration>();
  const ofTag = (tag: string, like: Element): CSSStyleDeclaration => {
    const known = ofTags.get(tag);
    if (known) return known;
    const style = whole(document.createElementNS(like.namespaceURI, tag));
    ofTags.set(tag, style);
    return style;
  };
  const inherited = new Set(['visibility', 'pointer-events', 'pointerEvents', 'user-select']);
  const value = (element: Element, name: string): string => {
    for (let at: Element | null = element; at; at = inherited.has(name) ? at.parentElement : null) {
      const own = (at as HTMLElement).style as unknown as Record<string, string> | undefined;
      if (own?.[name]) return own[name];
    }
    if (name === 'display' && element.hasAttribute('hidden')) return 'none';
    const usual = ofTag(element.localName, element) as unknown as Record<string, string>;
    return usual[name] ?? '';
  };
  globalThis.getComputedStyle = (element) =>
    new Proxy({} as CSSStyleDeclaration, {
      get: (_, name) =>
        name === 'getPropertyValue'
          ? (property: string) => value(element, property)
          : typeof name === 'string'
            ? value(element, name)
            : undefined,
    });
}

type Labelled =
  | HTMLButtonElement
  | HTMLInputElement
  | HTMLMeterElement
  | HTMLOutputElement
  | HTMLProgressElement
  | HTMLSelectElement
  | HTMLTextAreaElement;

/** The labels of a field: the one around it, and those that are `for` it; jsdom asks every label for every field. */
export function quickLabels(): void {
  const labels = (field: Labelled): HTMLLabelElement[] => {
    const around = field.closest('label');
    const named = field.id
      ? field.ownerDocument.querySelectorAll<HTMLLabelElement>(`label[for="${field.id}"]`)
      : [];
    return around && !around.htmlFor ? [around, ...named] : [...named];
  };
  for (const Field of [
    HTMLButtonElement,
    HTMLInputElement,
    HTMLMeterElement,
    HTMLOutputElement,
    HTMLProgressElement,
    HTMLSelectElement,
    HTMLTextAreaElement,
  ])
    Object.defineProperty(Field.prototype, 'labels', {
      configurable: true,
      get(this: Labelled) {
        return labels(this);
      },
    });
}
