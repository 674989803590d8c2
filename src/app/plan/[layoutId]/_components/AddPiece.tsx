'use client';

import { itemShapes } from '@/components/Sand/itemShapes';
import { sandView } from '@/components/Sand/sandView';
import { Shapes } from '@/components/Sand/Shapes';
import { ITEM_CHOICES, newItem, type ItemChoice } from '@/core';
import { Button, Menu } from '@mantine/core';
import classes from './AddPiece.module.css';

type AddPieceProps = { opened: boolean; onOpened: (opened: boolean) => void; onAdd: (choice: ItemChoice) => void };

const WORDS: Record<ItemChoice, string> = {
  pole: 'Pole',
  'raised pole': 'Raised pole',
  'cross-rail': 'Cross-rail',
  vertical: 'Vertical',
  oxer: 'Oxer',
  'triple-bar': 'Triple bar',
  wall: 'Wall',
  narrow: 'Narrow fence',
  corner: 'Corner',
  guide: 'Guide rail',
  cone: 'Cone',
  block: 'Block',
  marker: 'Marker',
};

/** What can be put on the sand by hand, each as it is drawn there. */
export function AddPiece({ opened, onOpened, onAdd }: AddPieceProps) {
  return (
    <Menu opened={opened} onChange={onOpened} position="bottom-start" width={300}>
      <Menu.Target>
        <Button size="xs" variant="default">
          Add a piece
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <div className={classes.pieces}>
          {ITEM_CHOICES.map(choice => (
            <Menu.Item key={choice} leftSection={<PiecePicture choice={choice} />} onClick={() => onAdd(choice)}>
              {WORDS[choice]}
            </Menu.Item>
          ))}
        </div>
      </Menu.Dropdown>
    </Menu>
  );
}

/** A piece lies in the middle of so much sand, metres. */
const SAND_M = 4.6;
const VIEW = sandView({ widthM: SAND_M, lengthM: SAND_M, letters: 'none' }, 'along');

function PiecePicture({ choice }: { choice: ItemChoice }) {
  const item = newItem(choice, choice, { xM: SAND_M / 2, yM: SAND_M / 2 }, Math.PI / 2);
  return (
    <svg viewBox={`0 0 ${SAND_M} ${SAND_M}`} className={classes.picture} data-lit="" aria-hidden="true">
      <Shapes shapes={itemShapes(item, VIEW)} />
    </svg>
  );
}
