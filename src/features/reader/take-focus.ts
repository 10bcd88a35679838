/**
 * Puts the keyboard on what is shown, so that one reads on there. In another page's frame only where the keyboard is in this page already:
 * whoever writes beside the frame goes on writing, however long it takes until what they asked for is drawn.
 */
export function takeFocus(element: HTMLElement): void {
  if (window.parent === window || document.hasFocus()) element.focus({ preventScroll: true });
}
