'use client';

import { Table } from '@/components/Table/Table';
import { TEST_PACES, type StrideTestReading, type TestPass } from '@/core';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { Button } from '@mantine/core';
import type { DraftChange, TestDraft } from '../_state/testDraft';

type PassTableProps = { draft: TestDraft; reading: StrideTestReading; change: (step: DraftChange) => void };

const QUARTERS: Readonly<Record<number, string>> = { 0: '0', 0.25: '¼', 0.5: '½', 0.75: '¾' };

/** The parts at both ends of a pass, where both were noted: "9 (¼ behind, ½ before)". */
function endsText({ behind, part }: TestPass): string {
  if (behind === null || part === null) return '';
  return ` (${QUARTERS[behind] ?? behind} behind, ${QUARTERS[part] ?? part} before)`;
}

/** The passes pace by pace, void ones among them, each removable; and what each pace comes to. */
export function PassTable({ draft, reading, change }: PassTableProps) {
  const { format } = useLengths();
  if (draft.passes.length === 0) return null;
  return (
    <Table isClose style={{ marginTop: 8 }}>
      <thead>
        <tr>
          <th>Pace</th>
          <th>Passes</th>
          <th>Stride</th>
        </tr>
      </thead>
      <tbody>
        {TEST_PACES.map(pace => {
          const stride = reading.paces[pace]?.stride;
          return (
            <tr key={pace}>
              <td>{pace}</td>
              <td>
                {draft.passes.map(
                  (pass, index) =>
                    pass.pace === pace && (
                      <Button
                        key={index}
                        size="compact-sm"
                        mr={4}
                        variant={pass.voided ? 'outline' : 'light'}
                        color={pass.voided ? 'slate' : undefined}
                        onClick={() => change({ kind: 'remove', index })}
                        aria-label={`Remove the ${pace} pass of ${pass.count}${pass.voided ? ', void' : ''}`}
                      >
                        {pass.voided ? 'void' : `${pass.count}${endsText(pass)}`} ×
                      </Button>
                    ),
                )}
              </td>
              <td>{stride ? `${format(stride.strideM)} (${format(stride.lowM)} to ${format(stride.highM)})` : ''}</td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
