/** A key that is pressed in a dialog, or in something that hangs over the page, is not for the page behind it. */
export const elsewhere = (event: KeyboardEvent) =>
  document.querySelector('[role="dialog"]') !== null ||
  (event.target instanceof Element &&
    event.target.closest('#headlessui-portal-root, [role="menu"]') !== null);
