import { matchPath } from 'react-router';
import type { SessionView } from '../api/client';
import { say } from '../words/say';

/** What a page is for, and what can be tried on it. */
export interface PageHelp {
  /** Where it is; parts that differ from thing to thing begin with a colon. */
  at: string;
  name: string;
  purpose: string;
  tries: string[];
  /** What can and what cannot be done here without a connection. */
  offline: string;
}

/** In the order in which they are walked; what is more particular stands before what is less. */
export const PAGES: PageHelp[] = [
  {
    at: '/',
    name: say('The round'),
    purpose: say('One walk through the houses, stop by stop, with what is to be done at each, why, and about how long it takes.'),
    tries: [
      say('Press a task: it opens the tray, the batch or the order itself.'),
      say('Press the square beside it to tick it off; what the record still asks for comes back tomorrow.'),
      say('At the desk, choose who does it.'),
    ],
    offline: say('The round on a page that is open stays readable, and work from it goes on: what you record is kept on this device and sent later.'),
  },
  {
    at: '/tomorrow',
    name: say('Tomorrow'),
    purpose: say('What is foreseen for tomorrow, with trays and lots, on one sheet to be printed.'),
    tries: [say('Print it and hang it up in the evening.')],
    offline: say('Tomorrow is foreseen from the record and the forecast, so it needs the connection. Print it in the evening: paper needs none.'),
  },
  {
    at: '/week',
    name: say('The week against the hands'),
    purpose: say('Minutes of work on each day beside the minutes that hands have; what may wait, and what a day of waiting costs.'),
    tries: [
      say('Press a day to see its work.'),
      say('Say how many minutes of hands there are, on that day or every week.'),
      say('No time? One press moves what may wait.'),
    ],
    offline: say('Minutes are added up from the record as it is now, so the week needs the connection. What was put off stays put off.'),
  },
  {
    at: '/season/reschedule',
    name: say('Rescheduling'),
    purpose: say('A day moves, plants are short: what can be done for each batch, with what it does to date and chance.'),
    tries: [say('Pick batches, say by how many days they move, and compare the ways out.')],
    offline: say(
      'What a moved day does to dates, chances and room is worked out with all other batches, so it needs the connection. Nothing was changed.',
    ),
  },
  {
    at: '/season/wall',
    name: say('Sheets for the wall'),
    purpose: say('A week with its work day by day, or a month at a glance; and calendars that other programs can follow.'),
    tries: [say('Choose week or month and print.')],
    offline: say('Sheets and calendars are drawn from the season as it is now. A calendar that follows Kiver keeps what it fetched last.'),
  },
  {
    at: '/season/own-table',
    name: say('For our own table'),
    purpose: say(
      'What one would like to eat or cut, and when, turned into sowings, a seed list, room and days. Nothing is planned before you say so.',
    ),
    tries: [say('Say a bed instead of a number: Kiver counts what stands in it.'), say('Divide it into sowings: little and often.')],
    offline: say('A season is counted back with all that stands in the nursery, so it needs the connection. What you typed stays on this device.'),
  },
  {
    at: '/season/play',
    name: say('Play a season'),
    purpose: say('A copy of the nursery in which weeks pass in minutes, in the weather of a year you choose. Nothing of it is kept.'),
    tries: [say('Let four weeks pass and see which orders are short.'), say('Play the coldest spring, then decide how early to sow.')],
    offline: say('The copy is made where the nursery is kept, so it needs the connection. Nothing of the nursery was changed.'),
  },
  {
    at: '/season',
    name: say('The season'),
    purpose: say('Every batch drawn towards the day on which it is wanted: one sees what is tight before one reads.'),
    tries: [
      say('Drag a sowing to another day: dates, chance and room follow while you drag.'),
      say('Begin a draft to try changes without making them.'),
      say('Ctrl and Z takes the last change back.'),
    ],
    offline: say(
      'Dates and chances are worked out from all that was recorded, so the season needs the connection. Your plan and your drafts are safe.',
    ),
  },
  {
    at: '/labels',
    name: say('Printed labels'),
    purpose: say('What was sent to the label printer, to be looked at and printed again as it was.'),
    tries: [say('Print again what was torn or lost; nothing has to be looked up.')],
    offline: say('The printer is reached over the network; write the label by hand until it is back.'),
  },
  {
    at: '/trials',
    name: say('Trials'),
    purpose: say('One lot in two ways or more, side by side: which did better, and whether that is more than chance.'),
    tries: [say('Lay one out over a sowing that is planned; the lot decides which row or tray gets which.')],
    offline: say('What came of each way is added up from the record, so it needs the connection. Sowing and counting go on without.'),
  },
  {
    at: '/warmth',
    name: say('Warmth of the places'),
    purpose: say('What the thermometers read in the last three days, beside what each place is heated to; and what somebody should see to.'),
    tries: [say('Press a batch that a warning names, to move it or to look for losses.')],
    offline: say('Readings come over the network; without it, go by a thermometer that hangs there.'),
  },
  {
    at: '/light',
    name: say('Light of the places'),
    purpose: say(
      'How much light each place has through the year, by what it sees of the sky and its lamps; what stretches or scorches in it, and where that could go.',
    ),
    tries: [
      say('Change the hours or the height of the lamps and see what that gives, before anything is kept.'),
      say('Press a move that is offered to do it.'),
    ],
    offline: say('It is worked out on the server; without the connection go by the plants: long, thin stems want light.'),
  },
  {
    at: '/space',
    name: say('Space'),
    purpose: say('How full each place is through the season. Where the filled part rises above the line there are more trays than room.'),
    tries: [
      say('Press a time that lacks room: what would ease it is offered, the least costly first.'),
      say('Choose the weather of a past year: what would be late, spoilt or without room is named.'),
    ],
    offline: say('Room is added up from every batch, so it needs the connection. Nothing was moved.'),
  },
  {
    at: '/seed',
    name: say('Seed'),
    purpose: say('What the plan takes from the store, what runs short and must be bought by when, which lots are tired.'),
    tries: [say('Press a lot: everything that came of it, with every grower who has any.')],
    offline: say('What is left of each lot is kept with the record. Seed sown on a page that is open is taken off when it is sent.'),
  },
  {
    at: '/water',
    name: say('Water'),
    purpose: say('Which trays want water and from where, which want a look, which are left alone: by what they hold and how fast they dry.'),
    tries: [
      say('Lift a tray and say light, some heft or heavy: what is known of it follows your hand.'),
      say('Put one on the scale now and then: how fast its like dry here is learnt from it.'),
      say('Come back at the hour that is told to trays that may not last until tomorrow.'),
    ],
    offline: say('What each tray wanted lies on this device when the round does; what you do and see is kept and sent later.'),
  },
  {
    at: '/growers',
    name: say('Growers'),
    purpose: say('What growers ask for and what became of their plants, what was written to them, and what plants cost.'),
    tries: [say('Answer with yes or no: a yes makes the change. Give lost plants again while a few are kept.')],
    offline: say('What was read last lies on this device; answering waits for a connection.'),
  },
  {
    at: '/looking-back',
    name: say('Looking back'),
    purpose: say('What became of what was sown, step by step, by crop, seed lot, place, mix or month; and what was promised against what was kept.'),
    tries: [say('Take sowings together by mix or by place, and see where most were lost.')],
    offline: say('The year as it was read last lies on this device.'),
  },
  {
    at: '/season/again',
    name: say('A season again'),
    purpose: say('What growers ordered in a growing year, offered for the same weekday a year on, planned anew by what was learnt since.'),
    tries: [say('Plan an order anew, leave out what is not wanted this time, and take the rest with one press.')],
    offline: say('What was ordered lies on this device as it was read last; planning waits for a connection.'),
  },
  {
    at: '/lessons',
    name: say('What was learnt'),
    purpose: say(
      'What this nursery’s own batches say otherwise than the figures of the library: how fast crops come up and grow at each place, of each variety and lot, and how many plants live on. Plans go by what you take.',
    ),
    tries: [say('Look at the dots: each is a batch. Take what many batches say; undo it whenever you like.')],
    offline: say('The page as it was read last lies on this device; deciding waits for a connection.'),
  },
  {
    at: '/loading',
    name: say('Loading'),
    purpose: say(
      'What is to go with all due orders: shared out where it is short, picked on one walk through the places, loaded by the round of delivery and released as it was picked.',
    ),
    tries: [say('Choose the day, change a share by hand, print the pick list, and release order by order.')],
    offline: say('The list as it was read last lies on this device, and the printed one needs none; releasing waits for a connection.'),
  },
  {
    at: '/hardening',
    name: say('Hardening off'),
    purpose: say(
      'What stands out to harden, its coming days by the forecast, and what is carried or covered this morning and this evening; a day that is missed moves the end.',
    ),
    tries: [say('Say how many carry, and note a day with one press when they are out.')],
    offline: say('The days as they were forecast last lie on this device; what you note is kept and sent later.'),
  },
  {
    at: '/potting',
    name: say('Potting'),
    purpose: say(
      'A morning of potting up: what wants larger pots, in which order, what it takes of pots, mix, labels and time, and where it will stand.',
    ),
    tries: [
      say('Say how many hands there are, and choose what is potted along.'),
      say('Count the pots in the shed on the page of mixes: what is missing is said here.'),
    ],
    offline: say(
      'The morning as it was planned last lies on this device; choosing otherwise needs the connection. What you pot is kept and sent later.',
    ),
  },
  {
    at: '/feed',
    name: say('Feed'),
    purpose: say('What goes into the can, whose mix has no more to give, and what was given.'),
    tries: [say('Press Fed where you have been, or all of them at once.'), say('The propagator says here when seedlings are fed, and how strongly.')],
    offline: say('Who is fed lies on this device when the round does; what you give is kept and sent later.'),
  },
  {
    at: '/sow/along',
    name: say('Sow along'),
    purpose: say('The phone leads through the day’s sowing, one run at a time: this packet, so many to a cell, these cells.'),
    tries: [
      say('Press Dropped when the seed lies in the cells, Covered when it is covered.'),
      say('A short packet, another lot, a run to be skipped: one press each.'),
      say('It goes on where you stopped, also when the phone died.'),
    ],
    offline: say('A list that was open once goes on without a connection: what is dropped is kept on this device and sent later.'),
  },
  {
    at: '/sow',
    name: say('Sowing'),
    purpose: say('What is sown on a day, in the order in which one hand does it, what to take along, what to soak the evening before.'),
    tries: [say('Print the labels first, then sow along.'), say('Look at tomorrow with the arrow: seed to soak stands at the side.')],
    offline: say('The list is made of the plan as it is now. Print it the evening before where the signal is poor.'),
  },
  {
    at: '/mix',
    name: say('Mix'),
    purpose: say('What mix lies ready and of what it was made, what the plan takes week by week, what must be bought by when, and the recipes.'),
    tries: [
      say('Make a mix: the barrow sheet says how much of what goes in.'),
      say('Looked at a heap? Say how much is left; the store follows.'),
      say('Take a recipe of another school and change it.'),
    ],
    offline: say('What is in the store is shared by everybody, so it needs the connection. Write on the heap what you made and enter it later.'),
  },
  {
    at: '/mix/barrow',
    name: say('Barrow sheet'),
    purpose: say('Buckets, bags and water for a mixing, what is heavy in it and what it costs.'),
    tries: [say('Tick off what is in the barrow.'), say('Write it down when it is made: the mix gets its number.')],
    offline: say('A sheet that is on the screen stays there. Print it, or mix from it; it can be written down when the connection is back.'),
  },
  {
    at: '/mix/recipes/:code',
    name: say('A recipe'),
    purpose: say('A base in parts, then what is added by a share of the base or of the whole so far; how wet, how fine, how long it feeds.'),
    tries: [say('Several ticked in one addition share it evenly.')],
    offline: say('Recipes are shared by everybody, so they are changed with the connection only. What you typed stays while the page is open.'),
  },
  {
    at: '/orders/from-file',
    name: say('Orders from a file'),
    purpose: say('What growers send as a spreadsheet becomes orders: looked over, planned line by line, and taken grower by grower.'),
    tries: [say('Choose which column is which where it was understood wrongly; it is remembered.')],
    offline: say('A file is looked over against growers and varieties as they are now, so it needs the connection. Nothing was taken.'),
  },
  {
    at: '/orders/new',
    name: say('Taking an order'),
    purpose: say('Line by line; each line shows at once when it must be sown, how sure it is and what stands in the way.'),
    tries: [say('Compare the paths through containers before you promise.')],
    offline: say('A promise looks at seed, room and weather, so it needs the connection. What you typed stays here while the page is open.'),
  },
  {
    at: '/orders/:number',
    name: say('An order'),
    purpose: say('What was asked, what grows for it and how sure that is; released in part or whole, with its note.'),
    tries: [
      say('Enter how many plants go and release them: the note is printed from there.'),
      say('Follow a note back to seed, mix, places and hands.'),
    ],
    offline: say('Releasing takes plants off the record at once, so it needs the connection. Nothing went twice: try again when it is back.'),
  },
  {
    at: '/orders',
    name: say('Orders'),
    purpose: say('All orders drawn towards their days: the box says when plants may be ready, the heavy line when they are wanted.'),
    tries: [say('Sort by the tightest; group by week or grower; the address keeps what you chose.')],
    offline: say('How orders stand follows from the record. Write down what the grower asks; it can be taken when the connection is back.'),
  },
  {
    at: '/batches/:number/health',
    name: say('How they fared'),
    purpose: say(
      'Warmth, light, water, feed, leaves and roots of a batch through time on one picture, with what was done and what cold nights cost.',
    ),
    tries: [say('Look where the dashed lines are crossed: nights that stunt, days too dark, water at its mark.')],
    offline: say('The picture is drawn from the whole record, so it needs the connection.'),
  },
  {
    at: '/batches/:number/failing',
    name: say('Why are they failing?'),
    purpose: say('From what you see to what most likely lies behind it, by what was noted of this batch: water, feed, light, warmth, roots.'),
    tries: [say('Press what you see most of; the likeliest cause comes first, with what tells it from the others.')],
    offline: say('The causes are weighed by the record, so it needs the connection. What each looks like you know best yourself.'),
  },
  {
    at: '/batches/:number',
    name: say('A batch'),
    purpose: say('Where it stands, what comes next, and everything that was recorded of it.'),
    tries: [say('Pot on, move, harden from here.'), say('A wrong entry is taken back in its history; nothing is ever lost.')],
    offline: say('Work on pages that are open goes on: counts, losses, moves and pottings are kept on this device and sent later, in their order.'),
  },
  {
    at: '/batches',
    name: say('Batches'),
    purpose: say('All that is sown or planned, by stage, place, crop or week, with what is free of it.'),
    tries: [say('Look for a tray, a variety or a grower.')],
    offline: say('A batch or a tray that is open can be worked on; others need the connection to be fetched.'),
  },
  {
    at: '/trays/:number/layout',
    name: say('Laying out a tray'),
    purpose: say('Small sowings of a day share a tray before they are sown, and a tray is cut to what is needed.'),
    tries: [
      say('Choose a sowing, then sweep over the cells it is to have.'),
      say('Cut behind the last row in use: the rest is proposed for few cells.'),
    ],
    offline: say('Who has which cells is the plan’s, so it needs the connection. Nothing was changed.'),
  },
  {
    at: '/trays/:number',
    name: say('A tray'),
    purpose: say('Its cells as they lie on the bench. Work on them as you would with a finger.'),
    tries: [say('Sweep over cells to mark what is up; tap once more to count.'), say('Without signal it is kept on this device and sent later.')],
    offline: say('This tray was not fetched yet. On a tray that is open, what you count or mark is kept on this device and sent later.'),
  },
  {
    at: '/founding/:step',
    name: say('Founding the nursery'),
    purpose: say('Where it lies, its climate, its places, its seed and for whom it grows: one thing at a time, each left out and come back to.'),
    tries: [
      say('Correct a frost date: the year beside it is drawn anew.'),
      say('Pick a place and drag its thermometer.'),
      say('Take a packet in with three entries.'),
    ],
    offline: say('What is said of the nursery changes every forecast, so it needs the connection. Nothing was changed.'),
  },
  {
    at: '/nursery/devices',
    name: say('What measures here'),
    purpose: say('What is known of the weather and of each place: by which device, by hand or not at all; and which device is silent.'),
    tries: [say('Add a thermometer: its token is shown once, to be put into it.')],
    offline: say('When a device was heard of last is known with the connection only. Go by the thermometer at the place.'),
  },
  {
    at: '/nursery',
    name: say('The nursery'),
    purpose: say('Places, seed, varieties, growers and people; every sheet can be taken out and read in again.'),
    tries: [say('Say where growers ring: it stands on every note.')],
    offline: say('The nursery’s lists are shared by everybody, so they are changed with the connection only. Nothing was changed.'),
  },
  {
    at: '/weather',
    name: say('Weather'),
    purpose: say('What was measured, what is forecast, and which batches the weather has moved.'),
    tries: [say('Read in the record of a station near you.')],
    offline: say('Measurements and the forecast come over the connection. Before a cold night, go by the thermometer outside.'),
  },
];

const MY_PLANTS: PageHelp = {
  at: '/',
  name: say('My plants'),
  purpose: say('How your plants are coming on, when they will most likely be ready, and what to do on the day.'),
  tries: [say('Open an order to see each line.'), say('Put its days into your own calendar.'), say('Print the note that comes with your plants.')],
  offline: say('How your plants stand is fetched from the nursery. If it is urgent, ring them: the number stands on every note.'),
};

/** What the page at an address is for. */
export function helpAt(path: string, role: SessionView['role']): PageHelp | undefined {
  if (role === 'GROWER') return MY_PLANTS;
  return PAGES.find((page) => matchPath(page.at, path));
}

const STEPS: Record<'PROPAGATOR' | 'BENCH_HAND', string[]> = {
  PROPAGATOR: ['/', '/orders', '/season', '/space', '/week'],
  BENCH_HAND: ['/', '/batches', '/seed', '/tomorrow', '/week'],
};

/** The first walk of whoever works here: five pages, in the order of a day. */
export function walkOf(role: SessionView['role']): PageHelp[] {
  if (role !== 'PROPAGATOR' && role !== 'BENCH_HAND') return [MY_PLANTS];
  return STEPS[role].map((at) => PAGES.find((page) => page.at === at)!);
}
