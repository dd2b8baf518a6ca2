/**
 * Lets the styles of an element be those that it has of itself, without any style sheet. To find something by its role, every
 * element of a page is asked for its style, and jsdom matches each against every rule of the libraries: half the time of our
 * tests. No rule in them decides what is there to be heard; the styles of our own components are not read by tests at all.
 */
export function plainStyles(view: Window): void {
  const styleOf = view.getComputedStyle.bind(view);
  const { body } = view.document.implementation.createHTMLDocument();
  const known = new Map<string, CSSStyleDeclaration>();
  view.getComputedStyle = (element) => {
    const said = ['style', 'hidden', 'open', 'type'].map((name) => [name, element.getAttribute(name)] as const);
    const key = JSON.stringify([element.namespaceURI, element.localName, said]);
    let plain = known.get(key);
    if (!plain) {
      const alike = body.ownerDocument.createElementNS(element.namespaceURI, element.localName);
      for (const [name, value] of said) if (value !== null) alike.setAttribute(name, value);
      body.append(alike);
      known.set(key, (plain = styleOf(alike)));
      alike.remove();
    }
    return plain;
  };
}
