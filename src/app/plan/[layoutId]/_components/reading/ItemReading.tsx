'use client';

import { LengthField } from '@/components/LengthField/LengthField';
import {
  FENCE_FORMS,
  layoutLabels,
  nameWords,
  newItem,
  usualGroundLineM,
  type Fence,
  type FenceForm,
  type Item,
  type Plan,
  type RaisedEnds,
} from '@/core';
import { Group, Select, Stack, Switch, Title } from '@mantine/core';
import { NameField } from './NameField';
import { PlaceFields } from './PlaceFields';
import { ThingActions, type ThingProps } from './ThingActions';

/** One item in numbers: every length can be typed in any unit. */
export function ItemReading({ item, ...props }: ThingProps & { item: Item }) {
  const { controls, arena } = props;
  const { plan } = controls.present;
  const locked = plan.lockedIds.includes(item.id);
  const put = (next: Item) => controls.change(standing => withItem(standing, next));
  const words = nameWords(item, layoutLabels(controls.shown.resolved.layout).called(item.id));
  return (
    <Stack gap="xs" component="section" aria-label={words}>
      <Title order={2} size="h4">
        {words}
      </Title>
      <NameField thing={item} controls={controls} />
      <PlaceFields
        arena={arena}
        pose={{ at: item.at, headingRad: 'headingRad' in item ? item.headingRad : 0 }}
        hasFacing={'headingRad' in item}
        disabled={locked}
        onMove={({ at, headingRad }) => put('headingRad' in item ? { ...item, at, headingRad } : { ...item, at })}
      />
      <ItemFields item={item} put={put} />
      <ThingActions {...props} />
    </Stack>
  );
}

function withItem(plan: Plan, item: Item): Plan {
  return { ...plan, items: plan.items.map(one => (one.id === item.id ? item : one)) };
}

type FieldsProps<Kind extends Item = Item> = { item: Kind; put: (item: Item) => void };

function ItemFields({ item, put }: FieldsProps) {
  const commit = (next: Item) => {
    put(next);
    return null;
  };
  switch (item.kind) {
    case 'pole':
      return (
        <>
          <LengthField
            label="Pole length"
            lengthM={item.lengthM}
            minM={0.5}
            maxM={6}
            onCommit={lengthM => commit({ ...item, lengthM })}
          />
          <RaisedFields raised={item.raised} onRaise={raised => commit({ ...item, raised })} />
        </>
      );
    case 'guide':
      return (
        <LengthField
          label="Length"
          lengthM={item.lengthM}
          minM={0.5}
          maxM={6}
          onCommit={lengthM => commit({ ...item, lengthM })}
        />
      );
    case 'block':
      return (
        <LengthField
          label="Height"
          lengthM={item.heightM}
          minM={0.02}
          maxM={1}
          onCommit={heightM => commit({ ...item, heightM })}
        />
      );
    case 'fence':
      return <FenceFields item={item} put={put} />;
    default:
      return null;
  }
}

function RaisedFields({ raised, onRaise }: { raised: RaisedEnds; onRaise: (raised: RaisedEnds) => null }) {
  return (
    <Group grow gap="xs" align="flex-start">
      <LengthField
        label="Left end up"
        lengthM={raised.leftM}
        minM={0}
        maxM={0.5}
        onCommit={leftM => onRaise({ ...raised, leftM })}
      />
      <LengthField
        label="Right end up"
        lengthM={raised.rightM}
        minM={0}
        maxM={0.5}
        onCommit={rightM => onRaise({ ...raised, rightM })}
      />
    </Group>
  );
}

function FenceFields({ item, put }: FieldsProps<Fence>) {
  const commit = (changes: Partial<Fence>) => {
    put({ ...item, ...changes });
    return null;
  };
  const spreads = item.form === 'oxer' || item.form === 'triple-bar' || item.form === 'corner';
  return (
    <>
      <Select
        label="Built as"
        value={item.form}
        data={FENCE_FORMS.map(form => ({ value: form, label: form.replace('-', ' ') }))}
        onChange={form => form && put(rebuilt(item, form as FenceForm))}
      />
      <Group grow gap="xs" align="flex-start">
        <LengthField
          label="Height"
          lengthM={item.heightM}
          minM={0}
          maxM={2}
          onCommit={heightM => commit({ heightM })}
        />
        <LengthField label="Width" lengthM={item.widthM} minM={0.5} maxM={8} onCommit={widthM => commit({ widthM })} />
        {spreads && (
          <LengthField
            label="Spread"
            lengthM={item.spreadM}
            minM={0.1}
            maxM={3}
            onCommit={spreadM => commit({ spreadM })}
          />
        )}
      </Group>
      {item.corner && (
        <Group grow gap="xs" align="flex-end">
          <Select
            label="Flag at the"
            value={item.corner.narrowEnd}
            data={['left', 'right']}
            onChange={end =>
              end && item.corner && commit({ corner: { ...item.corner, narrowEnd: end as 'left' | 'right' } })
            }
          />
          <LengthField
            label="Aim from the flag"
            lengthM={item.corner.aimFromFlagM ?? item.widthM / 2}
            minM={0.1}
            maxM={item.widthM}
            onCommit={aimFromFlagM => (item.corner ? commit({ corner: { ...item.corner, aimFromFlagM } }) : null)}
          />
        </Group>
      )}
      <Switch
        label="Ridden from both sides"
        checked={item.ridden === 'both-ways'}
        onChange={event => commit({ ridden: event.currentTarget.checked ? 'both-ways' : 'one-way' })}
      />
      <Switch
        label="Ground line"
        checked={item.groundLineBeforeM !== null}
        onChange={event =>
          commit({ groundLineBeforeM: event.currentTarget.checked ? usualGroundLineM(item.form) : null })
        }
      />
      {item.groundLineBeforeM !== null && (
        <LengthField
          label="Ground line before the front"
          lengthM={item.groundLineBeforeM}
          minM={-1}
          maxM={2}
          onCommit={groundLineBeforeM => commit({ groundLineBeforeM })}
        />
      )}
      <Switch
        label="Filler"
        checked={item.filler}
        onChange={event => commit({ filler: event.currentTarget.checked })}
      />
    </>
  );
}

/** Another form in the same place: what only the other form has is as it usually is. */
function rebuilt(fence: Fence, form: FenceForm): Fence {
  const usual = newItem(form, fence.id, fence.at, fence.headingRad) as Fence;
  const { name, heightM, widthM, groundLineBeforeM } = fence;
  const narrow = form === 'narrow' || fence.form === 'narrow';
  // Out before a vertical, in at an oxer: another form has another.
  const groundLine = groundLineBeforeM !== null && form !== fence.form ? usualGroundLineM(form) : groundLineBeforeM;
  return { ...usual, name, heightM, widthM: narrow ? usual.widthM : widthM, groundLineBeforeM: groundLine };
}
