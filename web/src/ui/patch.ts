/**
 * Makes one tree of elements like another with as few changes as it takes, so that what is scrolled and marked stays so
 * and pictures are not loaded again.
 */
export function patch(from: Node, to: Node): void {
  // The browser compares whole trees much faster than they can be walked here.
  if (from.isEqualNode(to)) return;
  // Nodes of another frame are instances of that frame's classes; their type is the same number.
  if (from.nodeType === Node.ELEMENT_NODE) {
    attributes(from as Element, to as Element);
  }
  const before = [...from.childNodes];
  const after = [...to.childNodes];
  after.forEach((wanted, at) => {
    const there = before[at];
    if (!there) from.appendChild(from.ownerDocument!.importNode(wanted, true));
    else if (there.nodeType !== wanted.nodeType || there.nodeName !== wanted.nodeName) {
      from.replaceChild(from.ownerDocument!.importNode(wanted, true), there);
    } else if (wanted.nodeType === Node.ELEMENT_NODE) patch(there, wanted);
    else if (there.nodeValue !== wanted.nodeValue) there.nodeValue = wanted.nodeValue;
  });
  before.slice(after.length).forEach((left) => from.removeChild(left));
}

function attributes(from: Element, to: Element): void {
  for (const { name } of [...from.attributes]) if (!to.hasAttribute(name)) from.removeAttribute(name);
  for (const { name, value } of to.attributes) {
    if (from.getAttribute(name) !== value) from.setAttribute(name, value);
  }
}
