import { askedToShow, type Layout, type Question } from '@/core';
import { memo, useMemo } from 'react';
import { AskedShown } from './AskedShown';

type AskedPictureProps = { layout: Layout; question: Question; isSmall?: boolean };

/** A question over a layout as a picture; nothing where the layout does not have it. */
export const AskedPicture = memo(function AskedPicture({ layout, question, isSmall }: AskedPictureProps) {
  const show = useMemo(() => askedToShow(layout, question, null), [layout, question]);
  return show && <AskedShown show={show} isSmall={isSmall} />;
});
