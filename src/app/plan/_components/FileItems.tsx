import { Menu } from '@mantine/core';

/** Within a menu: what a layout is saved as. */
export function FileItems({ layoutId }: { layoutId: string }) {
  return (
    <>
      <Menu.Item component="a" href={`/api/layouts/${layoutId}/file`}>
        Save as a layout file
      </Menu.Item>
      <Menu.Item component="a" href={`/api/layouts/${layoutId}/drawing`}>
        Save as a drawing (SVG)
      </Menu.Item>
    </>
  );
}
