import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { FileReport, SiteView, WeatherView } from '../api/client';
import { fakeServer, show, Status } from '../api/faked';
import { sampleChoices } from '../board/samples';
import { PestsAtSite } from './PestsAtSite';
import { SitePage } from './SitePage';
import { WeatherPage } from './WeatherPage';

const day = (name: string, minimum: number, maximum: number) => ({ day: name, minimum, maximum, estimated: false });

const weather: WeatherView = {
  firstDay: '1996-01-01',
  lastDay: '2027-04-14',
  days: 11_427,
  years: 31,
  daysFromFile: 0,
  daysFromDevices: 0,
  latitude: 46,
  altitude: 600,
  timeZone: 'UTC',
  estimated: false,
  forecastSaidOn: null,
  lately: [day('2027-04-13', -3, 8), day('2027-04-14', 1, 9)],
  forecast: [day('2027-04-15', 0, 9)],
  usual: [day('2027-04-13', 1, 11), day('2027-04-14', 1, 12), day('2027-04-15', 2, 12)],
};

const moved = [
  {
    day: '2027-04-15',
    cause: 'WARM_DAYS',
    place: 'North house',
    earlier: true,
    leastDays: 2,
    mostDays: 4,
    batches: [
      { batch: 214, variety: 'Blue Lantern', before: '2027-06-06', after: '2027-06-02' },
      { batch: 215, variety: 'Grey Anvil', before: '2027-06-06', after: '2027-06-04' },
    ],
  },
];

const page = (more: Record<string, unknown> = {}) =>
  fakeServer({ 'GET /api/weather': weather, 'GET /api/forecast-changes': moved, 'GET /api/choices': sampleChoices, ...more });

const file = (name = 'station.csv') => new File(['day,minimum,maximum\n'], name, { type: 'text/csv' });

const report = (more: Partial<FileReport> = {}): FileReport => ({
  days: 2,
  firstDay: '2027-01-01',
  lastDay: '2027-01-04',
  faults: 0,
  faultsListed: [],
  gaps: [],
  understood: {
    separator: 'COMMA',
    dates: 'DAY_FIRST',
    unit: 'CELSIUS',
    columns: ['Date', 'Low', 'High'],
    day: 0,
    lowest: 1,
    highest: 2,
    reading: null,
  },
  firstDays: [],
  taken: false,
  ...more,
});

describe('the weather', () => {
  it('is drawn with what is usual, and says how long the record is', async () => {
    page();
    show(<WeatherPage mayChange />);
    expect(await screen.findByRole('img', { name: 'Lowest and highest of each day' })).toBeTruthy();
    expect(screen.getByText(/31 whole years are the seasons/)).toBeTruthy();
    expect(screen.queryByText(/read in from files/)).toBeNull();
  });

  it('tells what it has moved, by its cause and then batch by batch', async () => {
    page();
    show(<WeatherPage mayChange />);
    fireEvent.click(await screen.findByText(/Warm days in the north house/));
    const batch = screen.getByRole('link', { name: '214 Blue Lantern' });
    expect(batch.getAttribute('href')).toBe('/batches/214');
    expect(batch.parentElement?.textContent).toContain('ready 2 Jun instead of 6 Jun');
  });

  it('leads to the frost at each grower’s site', async () => {
    page();
    show(<WeatherPage mayChange={false} />);
    const site = await screen.findByRole('link', { name: /Field one: Near/ });
    expect(site.getAttribute('href')).toBe('/sites/7');
    expect(screen.queryByLabelText('Station file')).toBeNull();
  });
});

describe('a forecast as it was heard', () => {
  const own = {
    session: { signedIn: true, person: 1, name: 'Own', role: 'PROPAGATOR', needsFirstAccount: false, nursery: 'N', today: '2027-04-15', demo: false },
  };

  it('takes wind, rain and sun where they are known, and sends what nobody touched as it was', async () => {
    const calls = page({
      'GET /api/session': own.session,
      'GET /api/weather': { ...weather, forecast: [{ day: '2027-04-15', minimum: -1.46, maximum: 9 }] },
      'PUT /api/weather/forecast': {},
    });
    show(<WeatherPage mayChange />);
    fireEvent.click(await screen.findByRole('button', { name: 'Wind, rain and sun as well' }));
    fireEvent.change(screen.getByLabelText('Gusts of Thu 15 Apr'), { target: { value: '36' } });
    fireEvent.change(screen.getByLabelText('Sun of Thu 15 Apr'), { target: { value: '25' } });
    fireEvent.change(screen.getByLabelText('Rain of Thu 15 Apr'), { target: { value: 'much' } });
    fireEvent.click(screen.getByRole('button', { name: 'Go by this forecast' }));
    expect(await screen.findByText('Rain of 15 Apr: enter a number.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Rain of Thu 15 Apr'), { target: { value: '' } });
    fireEvent.click(screen.getByRole('button', { name: 'Go by this forecast' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
        days: [{ day: '2027-04-15', minimum: -1.46, maximum: 9, gust: 10, sun: 0.25 }],
      }),
    );
  });

  it('shows what a service said of the sky', async () => {
    page({
      'GET /api/session': own.session,
      'GET /api/weather': { ...weather, forecast: [{ day: '2027-04-15', minimum: 1, maximum: 9, gust: 20, rain: 4 }] },
    });
    show(<WeatherPage mayChange />);
    expect(await screen.findByLabelText('Gusts of Thu 15 Apr')).toHaveProperty('value', '72');
    expect(screen.getByLabelText('Rain of Thu 15 Apr')).toHaveProperty('value', '4');
  });
});

describe('a station’s file', () => {
  it('is looked over first, every bad line and gap told, and read in when that is wanted', async () => {
    const found = report({
      faults: 31,
      faultsListed: [{ line: 3, problem: 'minimum 9 lies above maximum 2; are they swapped?' }],
      gaps: [{ from: '2027-01-02', to: '2027-01-03', days: 2 }],
    });
    const calls = page({
      'POST /api/weather/file?take=false&file=station.csv': found,
      'POST /api/weather/file?take=true&file=station.csv': { ...found, taken: true },
    });
    show(<WeatherPage mayChange />);
    fireEvent.change(await screen.findByLabelText('Station file'), { target: { files: [file()] } });
    expect(await screen.findByText(/31 lines that cannot be used/)).toBeTruthy();
    expect(screen.getByText(/Line 3: minimum 9 lies above/)).toBeTruthy();
    expect(screen.getByText('… and 30 more')).toBeTruthy();
    expect(screen.getByText(/1 gap, the longest 2 days/)).toBeTruthy();
    expect(calls.some((call) => call.path.includes('take=true'))).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Read 2 good days in' }));
    expect(await screen.findByText('Read in. Every forecast now rests on it.')).toBeTruthy();
  });

  it('offers nothing to read in where no line is good, and says why a file was refused', async () => {
    page({
      'POST /api/weather/file?take=false&file=empty.csv': report({ days: 0, firstDay: undefined, lastDay: undefined }),
      'POST /api/weather/file?take=false&file=odd.csv': new Status(422, { detail: 'The columns are separated by semicolons.', errors: [] }),
    });
    show(<WeatherPage mayChange />);
    const entry = await screen.findByLabelText('Station file');
    fireEvent.change(entry, { target: { files: [file('empty.csv')] } });
    expect(await screen.findByText(/0 good days/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Read/ })).toBeNull();
    fireEvent.change(entry, { target: { files: [file('odd.csv')] } });
    expect(await screen.findByText('The columns are separated by semicolons.')).toBeTruthy();
  });
});

describe('a site', () => {
  const spread = (early: string, middle: string, late: string) => ({ early, middle, late, certain: false });
  const frost = (threshold: number, more: Partial<SiteView['lightFrost']> = {}): SiteView['lightFrost'] => ({
    threshold,
    seasons: 31,
    spring: spread('2027-04-10', '2027-04-28', '2027-05-16'),
    autumn: spread('2027-09-29', '2027-10-17', '2027-11-02'),
    curve: [
      { day: '2027-03-01', chance: 1 },
      { day: '2027-05-01', chance: 0.5 },
      { day: '2027-07-01', chance: 0 },
    ],
    ...more,
  });
  const crop = (name: string, more: Partial<SiteView['crops'][number]> = {}): SiteView['crops'][number] => ({
    crop: name,
    hardiness: 'hardy',
    from: '2027-04-01',
    because: 'FROST',
    until: '2027-08-04',
    ruleForSowing: '2027-03-10',
    ruleForPlanting: '2027-04-07',
    ...more,
  });
  const site: SiteView = {
    id: 7,
    site: 'Near',
    grower: 'Field one',
    altitude: 1120,
    protection: 'in the open',
    offset: -3.4,
    estimated: false,
    lightFrost: frost(0),
    hardFrost: frost(-2, { autumn: undefined }),
    crops: [
      crop('Curly kale'),
      crop('Squash', { hardiness: 'tender', because: 'SOIL', until: '2027-03-01' }),
      crop('Sage', { because: 'NOTHING', until: undefined, ruleForSowing: undefined, ruleForPlanting: undefined }),
    ],
  };

  it('shows its frost at 10, 50 and 90 % and when each crop may stand there', async () => {
    fakeServer({ 'GET /api/sites/7': site });
    show(<SitePage />, '/sites/7', '/sites/:id');
    expect(await screen.findByText(/3.4 K colder than the station/)).toBeTruthy();
    expect(screen.getByRole('row', { name: 'Last 0 °C by 10 Apr 28 Apr 16 May' })).toBeTruthy();
    expect(screen.getByRole('row', { name: 'First −2 °C by rarely any' })).toBeTruthy();
    expect(screen.getByRole('row', { name: /Squash/ }).textContent).toContain('no time left for it here');
    expect(screen.getByRole('row', { name: /Squash/ }).textContent).toContain('cold soil');
    expect(screen.getByRole('row', { name: /Sage/ }).textContent).toContain('no frost here');
    fireEvent.change(screen.getByLabelText('Find a crop'), { target: { value: 'kale' } });
    await waitFor(() => expect(screen.queryByRole('row', { name: /Squash/ })).toBeNull());
  });

  it('takes the first sight of a pest, and takes it back', async () => {
    const pest = {
      pest: 'CARROT_FLY' as const,
      from: '2027-05-20',
      until: '2027-06-30',
      outBy: '2027-04-15',
      coverHelps: true,
      crops: ['Carrot', 'Parsnip'],
    };
    const calls = fakeServer({
      'GET /api/sites/7/pests': [{ ...pest, seenOn: ['2026-05-28'] }],
      'POST /api/sites/7/pests': [],
      'DELETE /api/sites/7/pests/CARROT_FLY/2026-05-28': [],
    });
    show(<PestsAtSite site={7} />);
    expect(await screen.findByText('Carrot, Parsnip: out by 15 Apr, or after it, or under fleece or net')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Seen first on'), { target: { value: '2027-05-30' } });
    fireEvent.click(screen.getByRole('button', { name: /Note it/ }));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ pest: 'CARROT_FLY', day: '2027-05-30' }));
    fireEvent.click(screen.getByRole('button', { name: /Take back/ }));
    await waitFor(() => expect(calls.some((call) => call.method === 'DELETE')).toBe(true));
  });

  it('says what went wrong and offers to try again', async () => {
    fakeServer({ 'GET /api/sites/7': new Status(404, { detail: 'There is no site 7.', errors: [] }) });
    show(<SitePage />, '/sites/7', '/sites/:id');
    expect(await screen.findByText(/There is no site 7/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /again/i })).toBeTruthy();
  });
});
