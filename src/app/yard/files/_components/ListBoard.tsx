'use client';

import { Table } from '@/components/Table/Table';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { Card } from '@/components/Card/Card';
import { Choice } from '@/components/Choice';
import { CSV_COLUMNS, CSV_LISTS, type CsvList } from '@/files/yardCsvColumns';
import { Alert, Button, FileButton, Group, Textarea } from '@mantine/core';
import { useState } from 'react';
import { listAction, type ListOutcome } from '../actions';
import classes from './ListBoard.module.css';

const LIST_LABELS: Record<CsvList, string> = {
  horses: 'Horses',
  people: 'People',
  kit: 'Kit',
  'stride-tests': 'Stride tests',
};

/** One list out as CSV, or one in: looked at first, every wrong row named, all of it or nothing kept. */
export function ListBoard() {
  const [list, setList] = useState<CsvList>('horses');
  const [text, setText] = useState('');
  const [outcome, setOutcome] = useState<ListOutcome | null>(null);
  const [busy, setBusy] = useState(false);

  const choose = (chosen: CsvList) => {
    setList(chosen);
    setText('');
    setOutcome(null);
  };
  const send = async (content: string, keep: boolean) => {
    setBusy(true);
    const reason = 'The server did not answer; nothing was changed.';
    const failed: ListOutcome = { kind: 'refused', faults: [{ line: 0, column: null, reason }] };
    const answer = await listAction({ list, text: content, keep }).catch(() => failed);
    setOutcome(answer);
    if (answer.kind === 'kept') setText('');
    setBusy(false);
  };
  const readFile = async (file: File | null) => {
    if (!file) return;
    const content = await file.text();
    setText(content);
    await send(content, false);
  };

  return (
    <div className={classes.board}>
      <Choice
        aria-label="Which list"
        value={list}
        onChange={value => choose(value as CsvList)}
        data={CSV_LISTS.map(value => ({ value, label: LIST_LABELS[value] }))}
      />
      <div className={classes.columns}>
        <Card label="In and out">
          <Group>
            <FileButton accept=".csv,text/csv" onChange={readFile}>
              {props => (
                <Button variant="default" {...props}>
                  Choose a file
                </Button>
              )}
            </FileButton>
            <Button component="a" variant="default" href={`/api/yard/${list}.csv`} download={`${list}.csv`}>
              Keep the yard’s {LIST_LABELS[list].toLowerCase()} as CSV
            </Button>
          </Group>
          <Textarea
            mt="sm"
            label="Or paste it"
            autosize
            minRows={4}
            maxRows={12}
            value={text}
            onChange={event => {
              setText(event.currentTarget.value);
              setOutcome(null);
            }}
          />
          <Group mt="sm">
            <Button variant="default" loading={busy} disabled={text.trim() === ''} onClick={() => send(text, false)}>
              Look at it
            </Button>
            <Button disabled={outcome?.kind !== 'preview'} loading={busy} onClick={() => send(text, true)}>
              Take it in
            </Button>
          </Group>
          {outcome && <Outcome outcome={outcome} />}
        </Card>
        <Columns list={list} />
      </div>
    </div>
  );
}

function changesText({ added, changed, left }: Extract<ListOutcome, { kind: 'kept' }>['changes']): string {
  return [`${added} added`, `${changed} changed`, ...(left > 0 ? [`${left} there already`] : [])].join(', ');
}

function Outcome({ outcome }: { outcome: ListOutcome }) {
  switch (outcome.kind) {
    case 'kept':
      return (
        <Alert mt="sm" role="status">
          Taken in: {changesText(outcome.changes)}.
        </Alert>
      );
    case 'refused':
      return (
        <Alert mt="sm" color="chestnut" role="alert" title="Nothing was taken in">
          <ul className={classes.faults}>
            {outcome.faults.map(({ line, column, reason }, index) => (
              <li key={index}>
                {line > 0 && `Line ${line}${column ? `, ${column}` : ''}: `}
                {reason}
              </li>
            ))}
          </ul>
        </Alert>
      );
    case 'preview':
      return (
        <>
          <p role="status">This would be taken in: {changesText(outcome.changes)}.</p>

          <Table leastPx={300} isClose>
            <thead>
              <tr>
                {outcome.header.map(name => (
                  <th key={name}>{name}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {outcome.rows.map((cells, row) => (
                <tr key={row}>
                  {cells.map((cell, column) => (
                    <td key={column}>{cell}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      );
  }
}

/** What the columns of a list are called and mean. */
function Columns({ list }: { list: CsvList }) {
  const say = useSay();
  return (
    <Card label="The columns" title="The columns">
      <dl className={classes.columnsList}>
        {CSV_COLUMNS[list].map(({ name, required, words }) => (
          <div key={name}>
            <dt>
              <code>{name}</code>
              {required && ' (needed)'}
            </dt>
            <dd>{say(words)}</dd>
          </div>
        ))}
      </dl>
    </Card>
  );
}
