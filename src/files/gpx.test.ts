import { readGpx, writeGpx } from './gpx';

const PLACE = { latDeg: 52.2, lonDeg: -1.4, bearingDeg: 30 };
const START_MS = Date.parse('2026-06-01T10:00:00Z');
const POINTS = [
  { timeS: 0, at: { xM: 3, yM: 4 } },
  { timeS: 0.2, at: { xM: 3.5, yM: 5.25 } },
  { timeS: 0.4, at: { xM: -1, yM: 40 } },
];

test('what is written is read again, to the centimetre', () => {
  const read = readGpx(writeGpx('Quill & Ode <left>', POINTS, PLACE, START_MS), PLACE);
  if (!read.ok) throw new Error(read.reason);
  expect(read.startMs).toBe(START_MS);
  read.points.forEach(({ timeS, at }, i) => {
    expect(timeS).toBeCloseTo(POINTS[i]!.timeS, 6);
    expect(at.xM).toBeCloseTo(POINTS[i]!.at.xM, 2);
    expect(at.yM).toBeCloseTo(POINTS[i]!.at.yM, 2);
  });
});

// The form of GPX 1.1 (Topografix, 2004; from memory): two segments, a place with more in it than Roan needs.
const OUTSIDE = `<?xml version="1.0"?>
<gpx version="1.1" creator="a watch" xmlns="http://www.topografix.com/GPX/1/1"><metadata><name>x</name></metadata>
<trk><name>ride</name>
<trkseg><trkpt lat="52.2" lon="-1.4"><ele>81.5</ele><time>2026-06-01T10:00:00Z</time></trkpt></trkseg>
<trkseg><trkpt lat="52.2001" lon="-1.4"><time>2026-06-01T12:00:10+02:00</time><extensions><hr>90</hr></extensions></trkpt></trkseg>
</trk></gpx>`;

test('a file from elsewhere is read: segments one after the other, times with an offset', () => {
  const read = readGpx(OUTSIDE, { ...PLACE, bearingDeg: 0 });
  if (!read.ok) throw new Error(read.reason);
  expect(read.points.map(({ timeS }) => timeS)).toEqual([0, 10]);
  expect(read.points[0]!.at).toEqual({ xM: expect.closeTo(0, 6), yM: expect.closeTo(0, 6) });
  // A ten-thousandth of a degree of latitude is 11.13 m here.
  expect(read.points[1]!.at.yM).toBeCloseTo(11.13, 1);
});

test.each([
  ['', 'no GPX file'],
  ['<gpx><trk>', 'no GPX file'],
  ['<kml></kml>', 'no track'],
  ['<gpx><trk><trkseg></trkseg></trk></gpx>', 'no track'],
  [OUTSIDE.replace('lat="52.2001"', 'lat="north"'), 'Place 2'],
  [OUTSIDE.replace('<time>2026-06-01T10:00:00Z</time>', ''), 'Place 1'],
  [OUTSIDE.replace('12:00:10+02:00', '11:00:10+02:00'), 'Place 2 comes before'],
  [OUTSIDE.replace(/lat="52/g, 'lat="53'), '111 km from the arena'],
])('%j is refused with a sentence', (text, words) => {
  const read = readGpx(text, { ...PLACE, bearingDeg: 0 });
  expect(read).toEqual({ ok: false, reason: expect.stringContaining(words) });
});

test('entities are not expanded: a time that is written as one is no time', () => {
  const body = OUTSIDE.replace('<?xml version="1.0"?>', '').replace('2026-06-01T10:00:00Z', '&when;');
  const read = readGpx(`<!DOCTYPE gpx [<!ENTITY when "2026-06-01T10:00:00Z">]>${body}`, { ...PLACE, bearingDeg: 0 });
  expect(read).toEqual({ ok: false, reason: expect.stringContaining('Place 1') });
});
