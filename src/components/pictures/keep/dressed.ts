/** What a drawing looks like by its page; in a file of its own it has to say so itself. */
const LOOKS = [
  ...['fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-opacity', 'stroke-dasharray', 'stroke-linecap'],
  ...['stroke-linejoin', 'opacity', 'paint-order', 'display', 'visibility', 'vector-effect'],
  ...['font-family', 'font-size', 'font-weight', 'text-anchor', 'dominant-baseline'],
];

/** A copy of a drawing that looks the same without the page around it. */
export function dressed(drawing: SVGSVGElement): SVGSVGElement {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  dress(drawing, copy);
  return copy;
}

function dress(from: Element, to: Element): void {
  const style = getComputedStyle(from);
  for (const name of LOOKS) {
    const value = style.getPropertyValue(name);
    if (value !== '') to.setAttribute(name, value);
  }
  for (const name of ['class', 'style', 'tabindex', 'id']) to.removeAttribute(name);
  [...from.children].forEach((child, index) => dress(child, to.children[index]!));
}
