import { deviceWords } from './deviceWords';
import { isThisMachineOnly } from './isOpen';

test('a device is told in words that somebody knows it by', () => {
  const chrome = 'AppleWebKit/537.36 (KHTML, like Gecko) Chrome/140.0 Mobile Safari/537.36';
  expect(deviceWords(`Mozilla/5.0 (Linux; Android 14; Pixel) ${chrome}`)).toBe('Android phone, Chrome');
  expect(deviceWords('Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) Version/18.0 Safari/604.1')).toBe(
    'iPhone, Safari',
  );
  expect(deviceWords('Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0')).toBe('Linux, Firefox');
  expect(deviceWords(null)).toBe('A device');
});

test.each([
  [{}, true],
  [{ ROAN_HOST: '127.0.0.1' }, true],
  [{ ROAN_HOST: 'localhost' }, true],
  [{ ROAN_HOST: '0.0.0.0' }, false],
  [{ ROAN_HOST: '::' }, false],
  [{ ROAN_HOST: '192.168.1.4' }, false],
  [{ ROAN_NETWORK: '1' }, false],
  [{ ROAN_TRUST_PROXY: '1' }, false],
])('started with %j Roan is reached from this machine alone: %s', (environment, isAlone) => {
  expect(isThisMachineOnly(environment)).toBe(isAlone);
});
