'use client';

import { FitMark } from '@/components/FitMark/FitMark';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { rowFit, type PoleGait } from '@/core';
import type { Horse } from '@/data/queries/horses';
import { Table, Title } from '@mantine/core';

type HorseFitsProps = { horses: Horse[]; gait: PoleGait; spacingM: number; chosenId: string };

/** What this spacing asks of every horse in the yard, in words. */
export function HorseFits({ horses, gait, spacingM, chosenId }: HorseFitsProps) {
  const { format, formatChange } = useLengths();
  const stepName = gait === 'canter' ? 'stride' : 'step';
  return (
    <section aria-label="Every horse at this spacing">
      <Title order={2} size="h5" mt="md" mb={4}>
        Every horse at {format(spacingM)}
      </Title>
      <Table verticalSpacing={3} withRowBorders={false}>
        <Table.Thead className="roan-visually-hidden">
          <Table.Tr>
            <Table.Th>Horse</Table.Th>
            <Table.Th>In a word</Table.Th>
            <Table.Th>Its own {stepName}</Table.Th>
            <Table.Th>Poles against that</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {horses.map(horse => {
            const fit = rowFit(gait, spacingM, horse);
            const apartM = spacingM - fit.normalM;
            return (
              <Table.Tr key={horse.id} fw={horse.id === chosenId ? 700 : 400}>
                <Table.Td>{horse.name}</Table.Td>
                <Table.Td>
                  <FitMark word={fit.word} />
                </Table.Td>
                <Table.Td>
                  own {stepName} {format(fit.normalM)}
                </Table.Td>
                <Table.Td>{apartText(apartM, formatChange)}</Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
    </section>
  );
}

/** How the poles lie against the horse's own step. */
function apartText(apartM: number, formatChange: (changeM: number) => string): string {
  if (Math.abs(apartM) < 0.005) return 'set as its own';
  return `set ${formatChange(apartM).slice(1)} ${apartM > 0 ? 'wider' : 'closer'}`;
}
