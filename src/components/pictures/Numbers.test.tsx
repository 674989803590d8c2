/** @jest-environment jsdom */
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { saveFile } from '@/components/saveFile';
import { Numbers } from './Numbers';

jest.mock('@/components/saveFile', () => ({ saveFile: jest.fn() }));
afterEach(cleanup);

test('numbers are written out once they are asked for, and are kept as CSV with every row', async () => {
  const table = {
    columns: ['day', 'passes, clean'],
    rows: [
      ['4 May, "dry"', 3],
      ['5 May', null],
    ] as (string | number | null)[][],
  };
  const { container } = render(<Numbers title="Days" table={table} fileName="days" hasPicture />);
  expect(screen.queryByRole('table')).toBeNull();
  const details = container.querySelector('details')!;
  details.open = true;
  fireEvent(details, new Event('toggle'));
  expect((await screen.findAllByRole('row')).map(row => row.textContent)).toEqual([
    'daypasses, clean',
    '4 May, "dry"3',
    '5 May–',
  ]);
  expect(screen.getByRole('button', { name: 'Days as SVG' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'As CSV' }));
  await waitFor(() => expect(saveFile).toHaveBeenCalled());
  const [blob, name] = jest.mocked(saveFile).mock.calls[0]!;
  expect(name).toBe('days.csv');
  const text = await new Promise(resolve => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result);
    reader.readAsText(blob);
  });
  // Quoted as RFC 4180 has it.
  expect(text).toBe('day,"passes, clean"\r\n"4 May, ""dry""",3\r\n5 May,');
});
