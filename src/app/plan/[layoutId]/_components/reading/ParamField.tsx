'use client';

import { CommitField } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  gridWords,
  isChosenPlace,
  isPlaceKey,
  paramFault,
  parseLength,
  placeOptions,
  withElement,
  withoutElement,
  type Arena,
  type ExerciseParam,
  type ExerciseParams,
  type ParamSpec,
  type PlaceKey,
  type Rein,
} from '@/core';
import { ActionIcon, Group, Select, Switch, Text } from '@mantine/core';
import { IconPlus, IconX } from '@tabler/icons-react';

type ParamFieldProps = {
  spec: ParamSpec;
  params: ExerciseParams;
  /** The arena and rein that its letters are called in. */
  place: { kind: string; arena: Arena; rein: Rein };
  /** It was moved from where its letters are. */
  isMoved: boolean;
  /** All that it asks, changed. */
  onParams: (params: ExerciseParams) => void;
};

/** One thing that an exercise asks, in the field that suits it. */
export function ParamField({ spec, params, place, isMoved, onParams }: ParamFieldProps) {
  const { say } = useLengths();
  const value = params[spec.key]!;
  const onChange = (next: ExerciseParam) => onParams({ ...params, [spec.key]: next });
  const commit = (next: ExerciseParam) => {
    const fault = paramFault(spec, next);
    if (fault !== null) return say(`${spec.label} ${fault}.`);
    onChange(next);
    return null;
  };
  switch (spec.kind) {
    case 'count':
    case 'degrees':
    case 'share':
      return <CommitField label={spec.label} text={String(value)} read={readNumber} onCommit={commit} />;
    case 'length':
      return <ParamLength spec={spec} lengthM={value as number} onCommit={commit} />;
    case 'flag':
      return (
        <Switch label={spec.label} checked={value === true} onChange={event => onChange(event.currentTarget.checked)} />
      );
    case 'choice':
      if (isPlaceKey(spec.key)) return <PlaceChoice {...{ spec, params, place, isMoved, onChange }} />;
      return (
        <Select
          label={spec.label}
          data={spec.options.map(option => ({ value: option, label: option.replaceAll('-', ' ') }))}
          value={value as string}
          onChange={next => next !== null && onChange(next)}
        />
      );
    case 'list':
      return spec.key === 'raised' ? (
        <RaisedList spec={spec} value={value as string[]} poles={params.poles as number} onChange={onChange} />
      ) : (
        <ElementList spec={spec} params={params} onParams={onParams} />
      );
    // Typed where they are read: distance by distance, and fence by fence.
    case 'lengths':
      return null;
  }
}

type PlaceChoiceProps = Pick<ParamFieldProps, 'params' | 'place' | 'isMoved'> & {
  spec: Extract<ParamSpec, { kind: 'choice' }>;
  onChange: (value: string) => void;
};

/** The letters and lines of this arena at which it may begin or end, as they are called on its rein. */
function PlaceChoice({ spec, params, place, isMoved, onChange }: PlaceChoiceProps) {
  const { kind, arena, rein } = place;
  const key = spec.key as PlaceKey;
  const value = params[key] as string;
  const from = typeof params.from === 'string' ? params.from : '';
  const options = placeOptions(kind, key, spec.options, { arena, rein, from });
  if (options.length < 2) return null;
  const isLettered = isChosenPlace(value);
  return (
    <Select
      label={spec.label}
      description={isMoved && isLettered ? 'Moved away from there: choose it again to go back.' : undefined}
      data={options}
      value={isMoved && isLettered ? null : value}
      placeholder={isMoved ? 'moved' : ''}
      onChange={next => next !== null && onChange(next)}
    />
  );
}

function readNumber(typed: string) {
  const text = typed.replace(',', '.').trim();
  return /^-?\d+(\.\d+)?$/.test(text)
    ? { ok: true as const, value: Number(text) }
    : { ok: false as const, reason: 'Type a number.' };
}

type LengthSpec = Extract<ParamSpec, { kind: 'length' }>;

/** A length; where nothing typed means something, the field says what. */
function ParamLength({
  spec,
  lengthM,
  onCommit,
}: {
  spec: LengthSpec;
  lengthM: number;
  onCommit: (lengthM: number) => string | null;
}) {
  const { unit, format } = useLengths();
  if (spec.zeroIs === null)
    return <LengthField label={spec.label} lengthM={lengthM} minM={spec.minM} maxM={spec.maxM} onCommit={onCommit} />;
  const read = (typed: string) => {
    if (typed.trim() === '' || typed.trim() === spec.zeroIs) return { ok: true as const, value: 0 };
    const parsed = parseLength(typed, { defaultUnit: unit, ...(spec.usual ? { usual: spec.usual } : {}) });
    if (!parsed.ok) return parsed;
    const within = parsed.lengthM >= spec.minM && parsed.lengthM <= spec.maxM;
    return within
      ? { ok: true as const, value: parsed.lengthM }
      : {
          ok: false as const,
          reason: `${spec.label} is ${format(spec.minM)} to ${format(spec.maxM)}, or nothing: ${spec.zeroIs}.`,
        };
  };
  return (
    <CommitField
      label={spec.label}
      text={lengthM === 0 ? spec.zeroIs : format(lengthM)}
      read={read}
      onCommit={onCommit}
    />
  );
}

type ListProps = {
  spec: Extract<ParamSpec, { kind: 'list' }>;
  value: readonly string[];
  onChange: (value: string[]) => void;
};

/** Pole by pole, which ends are up. */
function RaisedList({ spec, value, poles, onChange }: ListProps & { poles: number }) {
  return (
    <div role="group" aria-label={spec.label}>
      <Text size="sm" fw={500}>
        {spec.label}
      </Text>
      <Group gap={6}>
        {Array.from({ length: poles }, (_, index) => (
          <Select
            key={index}
            aria-label={`Pole ${index + 1}`}
            size="xs"
            w={92}
            data={spec.options.map(option => ({
              value: option,
              label: option === 'ground' ? `${index + 1} ground` : `${index + 1} ${option}`,
            }))}
            value={value[index] ?? 'ground'}
            onChange={way =>
              onChange(
                Array.from({ length: poles }, (_, at) => (at === index ? (way ?? 'ground') : (value[at] ?? 'ground'))),
              )
            }
          />
        ))}
      </Group>
    </div>
  );
}

/** What a grid gets where one more is wanted. */
const ONE_MORE = 'one vertical';

type ElementListProps = Pick<ParamFieldProps, 'params' | 'onParams'> & { spec: ListProps['spec'] };

/** The elements of a grid, one behind the other: each can be another, go out, or have one more behind it. */
function ElementList({ spec, params, onParams }: ElementListProps) {
  const elements = params[spec.key] as string[];
  return (
    <div role="group" aria-label={spec.label}>
      <Text size="sm" fw={500}>
        {spec.label}
      </Text>
      {elements.map((element, index) => (
        <Group key={index} gap={4} mb={4} wrap="nowrap">
          <Select
            aria-label={`Element ${index + 1}`}
            size="xs"
            style={{ flex: 1 }}
            data={spec.options.map(option => ({ value: option, label: gridWords(option) }))}
            value={element}
            onChange={next =>
              next !== null && onParams({ ...params, elements: elements.map((one, at) => (at === index ? next : one)) })
            }
          />
          <ActionIcon
            variant="default"
            aria-label={`Add one behind element ${index + 1}`}
            disabled={elements.length >= spec.most}
            onClick={() => onParams(withElement(params, index + 1, ONE_MORE))}
          >
            <IconPlus size={14} />
          </ActionIcon>
          <ActionIcon
            variant="default"
            aria-label={`Remove element ${index + 1}`}
            disabled={elements.length < 2}
            onClick={() => onParams(withoutElement(params, index))}
          >
            <IconX size={14} />
          </ActionIcon>
        </Group>
      ))}
    </div>
  );
}
