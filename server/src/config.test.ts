import { configFromEnvironment, defaultConfig } from './config';

describe('the configuration', () => {
  it('is the default where nothing is said', () => {
    expect(configFromEnvironment({})).toEqual(defaultConfig);
  });

  it.each([
    ['PORT', ''],
    ['PORT', 'abc'],
    ['PORT', '70000'],
    ['PORT', '1.5'],
    ['HOST', ' '],
    ['OILCAN_REQUESTS_PER_MINUTE', 'abc'],
    ['OILCAN_REQUESTS_PER_MINUTE', '0'],
    ['OILCAN_FREE_PASSWORD_TRIES', '0'],
    ['OILCAN_WRONG_PASSWORDS_PER_ADDRESS', '-1'],
    ['OILCAN_SECURE_COOKIE', 'yes'],
    ['OILCAN_TRUST_PROXY', ''],
    ['OILCAN_TRUST_PROXY', 'anybody'],
    ['OILCAN_FILES', ''],
    ['DATABASE_URL', ''],
    ['LOG_LEVEL', 'loud'],
  ])('says in one sentence that %s=%s cannot be', (name, value) => {
    let sentence = '';
    try {
      configFromEnvironment({ [name]: value });
    } catch (error) {
      sentence = error instanceof Error ? error.message : '';
    }
    expect(sentence).toMatch(new RegExp(`^${name} .*\\.$`));
    expect(sentence).not.toContain('\n');
  });

  it.each([
    ['127.0.0.1', false],
    ['localhost', false],
    ['::1', false],
    ['0.0.0.0', true],
    ['192.0.2.1', true],
  ])('sends cookies over HTTPS alone unless only this machine is served: %s', (host, isSecure) => {
    expect(configFromEnvironment({ HOST: host }).isCookieSecure).toBe(isSecure);
    expect(configFromEnvironment({ HOST: host, OILCAN_SECURE_COOKIE: '0' }).isCookieSecure).toBe(false);
  });

  it('keeps files and mails beside the database, unless it is told where', () => {
    const { filesRoot, outboxRoot } = configFromEnvironment({ DATABASE_URL: '/srv/oilcan/works.sqlite' });
    expect([filesRoot, outboxRoot]).toEqual(['/srv/oilcan/files', '/srv/oilcan/outbox']);
    expect(configFromEnvironment({ OILCAN_FILES: '/elsewhere' }).filesRoot).toBe('/elsewhere');
  });

  it('believes the proxies that are named', () => {
    expect(configFromEnvironment({ OILCAN_TRUST_PROXY: 'loopback, 10.0.0.0/8' }).trustedProxies).toEqual([
      'loopback',
      '10.0.0.0/8',
    ]);
  });
});
