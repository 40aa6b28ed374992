const MOST = 380_000;

/** A drawing as a picture of its own that needs no page around it, its colours written out; null where it is none or too large. */
export async function pictureOf(drawing: Element | null): Promise<string | null> {
  if (!(drawing instanceof SVGElement)) return null;
  const copy = drawing.cloneNode(true) as SVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  const [from, to] = [
    [drawing, ...drawing.querySelectorAll("*")],
    [copy, ...copy.querySelectorAll("*")],
  ];
  from.forEach((one, i) => {
    const style = getComputedStyle(one);
    for (const name of ["fill", "stroke", "font-size", "font-family"])
      to[i].setAttribute(name, style.getPropertyValue(name));
    to[i].removeAttribute("style");
    to[i].removeAttribute("class");
  });
  const text = `data:image/svg+xml;base64,${btoa(String.fromCharCode(...new TextEncoder().encode(new XMLSerializer().serializeToString(copy))))}`;
  return text.length <= MOST ? text : null;
}
