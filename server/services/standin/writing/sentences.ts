/**
 * Sentences that creators of every trade write, by what they are for. `{a}` is the part with its article, `{part}` its
 * name, `{parts}` its plural, `{is}` and `{does}` its verbs, `{ing}` what is done, `{verb}` the same as a verb,
 * `{people}` who watches, `{fault}` what is wrong, `{other}` what it is weighed against.
 */

export const OPENINGS = {
  do: [
    'In this video I {verb} {a} from start to finish.',
    'How to {verb} {a}, without skipping the parts that go wrong.',
    'A calm walk through {ing} {a}, at a speed you can follow.',
    '{ing} {a} looks harder than it is.',
    'You asked for it, so here it is: {ing} {a}.',
    'Everything I know about {ing} {a} in one place.',
    'Today’s job: {ing} {a}.',
    'The third time I {verb} {a} on camera, and the first time I am happy with it.',
    'I show two ways to {verb} {a}, and which one I would use myself.',
    'This is the short version of {ing} {a}.',
    'Half an hour and a bit of patience are all you need to {verb} {a}.',
    'Ask ten people how to {verb} {a} and you get ten answers; here is mine.',
    'What nobody says about {ing} {a}: the preparation is the work.',
    'A reader asked whether {ing} {a} can go wrong. It can, and I show how.',
    'I learned {ing} {a} the slow way; here is the quick one.',
    'Everyone has a way to {verb} {a}; this one has not failed me yet.',
    'Allow yourself an evening for {ing} {a}, and no phone.',
  ],
  fault: [
    'Your {part} {is} {fault}? Let us find out why.',
    'There are only a few reasons why {a} {is} {fault}, and we go through all of them.',
    'Before you spend money: why your {part} may be {fault}.',
    'I had the same trouble for weeks, until I looked in the right place.',
    'What you notice, the cause, the cure, in that order.',
    'Three things to check when your {part} {is} {fault}.',
    'Start with the first check; seven of ten {people}s can stop there.',
  ],
  buy: [
    'Which {part} would I buy with my own money?',
    'We put {parts} next to each other and used them until something gave.',
    'A guide to {parts} for people who do not want to read twenty tabs.',
    'Cheap, middling and dear {parts}, and where the money goes.',
    'I bought all of these {parts} myself.',
    'The right {part} depends on two questions, and I ask both in the first minute.',
    'Last year’s list of {parts} aged badly, so here is a new one.',
    'Before you order {a}, measure this.',
    'My opinion on {parts} after a season of daily use.',
  ],
  learn: [
    'What {a} {does}, what goes wrong with it, and when it matters.',
    'A plain explanation of {parts} for everyone who nods politely.',
    'I took {a} apart so that you can see inside.',
    'All the words around {parts}, without the jargon.',
    'Sizes, standards and traps: {parts} from the beginning.',
    'If you only remember one thing about {parts}, make it the thing at the end.',
    'Twenty years ago there was one kind of {part}; today there are nine.',
    'Somebody asked me what {a} {is} for, and I could not say it in one sentence.',
  ],
  compare: [
    '{part} against {other}, on the same day and by the same person.',
    'I used {other} for years before I tried {a}.',
    'There is no winner here, but there is a right answer for you.',
    'Price, looks, work and upkeep: {part} and {other} side by side.',
    'If you are about to change from {other}, watch this first.',
    'Both have their place; I say which one.',
  ],
  local: [
    'What {part} costs here, what is in the price, and how long you wait.',
    'A normal Tuesday at our counter.',
    'We are often asked on the phone, so here are the answers in a film.',
    'How {part} works when you bring it to us.',
    'From the first call to the bill: {part} without surprises.',
    'You can book, or you can just walk in.',
  ],
} as const

/** More openings for work on a thing with hands and tools. */
export const OPENINGS_BY_HAND = [
  'Do you want to {verb} {a} yourself? This is how we do it every day.',
  'No talking head, just hands and {a}.',
  'If you have never done it, start here: {ing} {a} for somebody with no tools and no clue.',
  'Two cameras, {a}, and no cuts in the important part.',
  'This is not my first {part} this month, so I have had practice.',
  'First slowly, then once more at full speed: {ing} {a}.',
  'I forgot one tool, so you see how to {verb} {a} without it.',
] as const
/** More openings for faults of machines. */
export const OPENINGS_OF_MACHINES = [
  'This one came in {fault}, and the owner had already bought new parts.',
  'A fault like this is nearly always a cheap repair.',
  'It looks worse than it is.',
] as const
/** What is said of what cannot be held, bought or taken apart: a speech, a tune-up. */
export const OPENINGS_OF_IDEAS = [
  'What {a} {is} for, what belongs in it, and what does not.',
  'A plain explanation of {parts} for everyone who nods politely.',
  'All the words around {parts}, without the jargon.',
  'If you only remember one thing about {parts}, make it the thing at the end.',
  'Somebody asked me what {a} {is} for, and I could not say it in one sentence.',
  'Everything I would have liked to know before my first {part}.',
  'I have seen a hundred of them, good and bad, and this is what they had in common.',
] as const

/** What follows the opening where there are no steps to name. */
export const MIDDLES = {
  /** Of machines; the other trades bring their own (`Trade.causes`). */
  fault: [
    'First rule out the simple: dirt, a loose bolt, a worn part next to it.',
    'Turn it by hand and listen with a long screwdriver at your ear.',
    'Change one thing, try it, and only then change the next.',
    'If it only happens under load, it is play and not dirt.',
    'If it happens cold and goes away warm, leave it until it does not.',
    'Swap it with a part that is known to be good, if you can borrow one.',
    'Look for shiny spots: where it shines, it rubs.',
    'A drop of oil tells you in a minute whether it is dry.',
    'Mark both sides with chalk and see which one moves.',
    'What was changed last is the first suspect.',
    'New parts can be bad, too; the second one in this video was.',
    'I show what I would do, what a shop would do, and what both cost.',
    'The last cause is rare, but it is the dear one.',
    'Write down when it happens, before you forget it.',
    'Ask what happened the week before: a fall, a wash, a new part.',
    'Hold it still with one hand and push with the other; what gives is what is worn.',
    'If both sides do it, look for what they share.',
    'A warm {part} behaves differently from a cold one, so try both.',
    'I have had this with a brand new {part}, so age proves nothing.',
    'Stop when you have found one cause and test before you look for a second.',
    'Clean it first, even if you are sure: half of all faults are dirt.',
  ],
  buy: [
    'I look at how it is made, what wears first, and whether you can get that part.',
    'The dearest one was not the best.',
    'The cheapest one lasted four months, which is honest for the money.',
    'Weight matters less than people say, and fit matters more.',
    'Two of them were the same thing with another sticker.',
    'Returns are part of the price: read how they are handled.',
    'I would rather buy a good one once than a poor one twice.',
    'Each of them got the same three tests.',
    'If you need it twice a year, borrow it.',
    'There is a table at the end with everything in it.',
    'One of them surprised me, and I have used it since.',
    'Look at the warranty before you look at the colour.',
    'Prices are from the day of filming and will be wrong by the time you see this.',
    'I would buy number two again, and I give number four away.',
    'Measure what you have before you trust a size on a page.',
    'Two shops sent the wrong {part}, which says something as well.',
    'Ask what others say after a year, not what they say after a week.',
    'Try it in your hands if you can: pictures do not tell the weight.',
  ],
  learn: [
    'There are three sizes that matter and a dozen that do not.',
    'The names differ from maker to maker; the thing is the same.',
    'You do not have to know this to use it, but it helps when you buy one.',
    'I made a mistake at 4:20 and left it in with a note.',
    'If yours looks different, it is probably the older kind.',
    'There are two words for the same thing, and shops use both.',
    'Take a picture of yours and compare it at 2:10.',
  ],
  compare: [
    'The first wins on price, the second on peace of mind.',
    'On a bad day there is no contest.',
    'After a thousand hours the difference was smaller than I had thought.',
    'I say what I would choose with little money, and what with more.',
    'How it feels in use alone would decide it for me.',
    'One is easier to repair, and that counts in the long run.',
    'Both were bought in the same shop in the same week.',
    'My wife chose the other one, so there is a second opinion.',
  ],
  local: [
    'Small jobs are done while you wait; larger ones take two days.',
    'You get a price before we begin, and a call if it changes.',
    'Saturday mornings are full, Wednesday afternoons are quiet.',
    'Collection is free within five miles.',
    'If it is not worth doing, we say so.',
    'Cash, card or an invoice: as you like.',
    'There is parking behind the building.',
    'We speak plainly, and we write it down.',
  ],
  do: [
    'I repeat the tricky step from a second angle.',
    'The whole thing takes me ten minutes and will take you thirty.',
    'If a step does not work for you, go back one and read the note.',
    'Skip to the end if you only want to see how it turned out.',
    'I kept the mistakes in.',
  ],
} as const
/** More explanations of machines and their parts. */
export const MIDDLES_OF_MACHINES = [
  'I draw it once on paper and once on the real thing.',
  'Most of it is history: it was made so once, and nobody changed it.',
  'It does not look like much until it breaks.',
  'The numbers on the side mean less than they seem to.',
  'The old standard is easier to find second hand.',
  'Everything shown was measured and not looked up.',
  'I show the inside first, because the outside explains itself then.',
  'Once you have seen it move, you will not forget it.',
] as const
/** More of what workshops for machines say. */
export const MIDDLES_OF_WORKSHOPS = [
  'Bring the old part, even if it is in pieces.',
  'We lend you something while yours is here.',
  'Everything we replace is yours to keep.',
] as const
/** More of it for work on a thing with hands and tools. */
export const MIDDLES_BY_HAND = [
  'You need a clean table and good light.',
  'Tools are named when they come into the picture.',
  'All of it can be undone, so do not be afraid.',
  'Wear gloves, or be like me and regret it.',
  'Do the second one straight after the first, while your hands remember.',
  'Leave the camera of your phone running: it remembers which way round it was.',
  'What I use costs less than one visit to a shop.',
] as const
/** What is said of what cannot be held, bought or taken apart. */
export const MIDDLES_OF_IDEAS = [
  'There are three rules that matter and a dozen that do not.',
  'Most of it is habit: somebody did it so once, and nobody changed it.',
  'You do not have to know this, but it helps on a bad day.',
  'I made a mistake at 4:20 and left it in with a note.',
  'There are two words for the same thing, and you will hear both.',
  'An example says more than a rule, so there are four of them.',
  'What works in a small room works in a large one, only slower.',
  'Once you have seen it done well, you will not forget it.',
] as const

/** What creators ask of those who watch. */
export const REQUESTS = [
  'What should I film next?',
  'Tell me in the comments how yours went.',
  'Subscribe if you want the next part.',
  'Questions go below, and I answer on Sundays.',
  'Which of the two would you choose?',
  'If it helped, send it to somebody who needs it.',
  'Have you found a better way? Write it down here.',
  'A thumbs up costs nothing and helps a small channel.',
  'Next week: the other side of the same job.',
  'Was it too fast or too slow? Be honest.',
  'Say where you got stuck and I will add it to the notes.',
  'I read every comment, even the rude ones.',
  'Ring the bell, or just come by on Friday.',
  'How long did it take you?',
  'Do you do it in another order? Why?',
  'Add your trick below; the best one gets into the next film.',
  'New film every Thursday evening.',
  'There is a longer version for members.',
  'Thank you for ten thousand of you.',
  'Correct me if I said something wrong.',
  'Who taught you?',
  'Would you have thrown it away?',
  'Show me a picture of yours.',
  'If you are in the area, say hello.',
  'I am slow with mail, so please be patient.',
  'Vote for the next subject in the community tab.',
  'The first comment that finds the mistake wins a sticker.',
] as const

/** Lines about what was used and where to find more. */
export const GEAR = [
  'Tools used:',
  'Today’s tools:',
  'In my hands:',
  'What you see on the bench:',
  'Shopping list:',
  'What I used in this video:',
  'On the table:',
  'Parts and tools:',
  'Things you need:',
] as const
export const MORE = [
  'More on this:',
  'The film before this one:',
  'Watch next:',
  'The whole series:',
  'Related:',
  'If you liked this:',
  'Also on this channel:',
  'Part one and two:',
  'What I mentioned:',
  'Longer versions:',
  'The basics first:',
  'From the archive:',
  'Read it instead:',
  'Before you start:',
  'Then go on with:',
  'Same job, other model:',
  'Links from the video:',
  'Where I explain it slowly:',
] as const
export const CONTACT = [
  'Find us:',
  'Write to us:',
  'Workshop and shop:',
  'Contact:',
  'Book a time:',
  'Come by:',
  'Questions and bookings:',
  'We are here:',
  'Open Tuesday to Saturday:',
  'Address and hours:',
  'Call before you come:',
  'Visit:',
] as const
export const LEGAL = [
  'Music made at home.',
  'No affiliate links.',
  'Some links earn me a small part of the price.',
  'Filmed on a phone.',
  'At your own risk, as always.',
  'Do not try this on somebody else’s.',
  'Subtitles by hand.',
  'All prices include tax.',
  'This is not professional advice.',
] as const
/** Names of chapters before and after the steps. */
export const FIRST_CHAPTERS = ['Intro', 'What is wrong', 'Hello', 'Before we start', 'The plan', 'Start'] as const
export const LAST_CHAPTERS = ['The test', 'Result', 'Summary', 'Mistakes to avoid', 'Final check', 'Thanks'] as const
