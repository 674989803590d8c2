const SCHEME = 'data-mantine-color-scheme';

/** Shows the page in light colours. @returns what gives it back those that it had */
function lit(): () => void {
  const root = document.documentElement;
  const shown = root.getAttribute(SCHEME);
  root.setAttribute(SCHEME, 'light');
  return () => {
    if (shown !== null) root.setAttribute(SCHEME, shown);
  };
}

/** What is read off the page in light colours, whatever the screen shows: a picture that is handed on is for paper. */
export function inLightColours<T>(read: () => T): T {
  const back = lit();
  try {
    return read();
  } finally {
    back();
  }
}

/**
 * Paper is white, whatever the screen shows: a page in dark colours is printed in light ones.
 * @returns what ends it
 */
export function printedLight(): () => void {
  let back = () => {};
  const before = () => {
    back = lit();
  };
  const after = () => back();
  window.addEventListener('beforeprint', before);
  window.addEventListener('afterprint', after);
  return () => {
    window.removeEventListener('beforeprint', before);
    window.removeEventListener('afterprint', after);
  };
}
