/** A video of the demo's own channel: what it is called, the search it was made for, and how it did. */
export interface HomeVideo {
  title: string
  phrase: string
  /** How long ago it came out. */
  days: number
  /** 0 to 1: how often a shown result of it is clicked, and how much of it is watched. */
  clicks: number
  watched: number
  seconds: number
  /** Whether what is said in it is written down. */
  spoken: boolean
}

const video = (
  [title, phrase]: [string, string],
  [days, clicks, watched, seconds]: [number, number, number, number],
  spoken = false,
): HomeVideo => ({ title, phrase, days, clicks, watched, seconds, spoken })

/**
 * What the workshop of the demo has filmed, the same in every world, so that its story stays as it is told whatever
 * else is drawn: repairs and shop talk of four years, good and poor titles, some that went well and many that did not.
 */
export const HOME_VIDEOS: readonly HomeVideo[] = [
  video(['How to choose a pannier rack', 'best pannier racks 2026'], [553, 0.47, 0.61, 113]),
  video(['How To Fix A Bike', 'bike fix'], [399, 0.16, 0.47, 432], true),
  video(['Bike chain explained in 20 minutes', 'what size bike chain do i need'], [231, 0.43, 0.41, 474]),
  video(
    ['Cassette rusty on a kids bike: how to find the cause', 'why is my kids bike cassette rusty'],
    [400, 0.45, 0.5, 379],
    true,
  ),
  video(['Cobbleford: bike service while you wait', 'bike service cobbleford'], [972, 0.27, 0.71, 471]),
  video(['How To Install Mudguards', 'how to install mudguards at home'], [762, 0.33, 0.31, 414], true),
  video(['Storing a bike', 'storing a bike'], [9, 0.15, 0.3, 87], true),
  video(['Bike hire: what you get for the money', 'bike hire'], [1415, 0.23, 0.45, 190], true),
  video(['Bike chain squeaking [all causes]', 'road bike chain squeaking'], [1246, 0.42, 0.49, 239], true),
  video(['How I remove a bike wheel at home', 'remove bike wheel at home'], [1452, 0.46, 0.46, 241]),
  video(['How I replace pedals on a gravel bike', 'gravel bike pedals'], [1404, 0.33, 0.51, 315], true),
  video(['Fixing a bike | From the Shed #12', 'how to fix a bike'], [1194, 0.47, 0.61, 279]),
  video(
    ['How to choose a derailleur hanger for a road bike', 'best deraileur hangers for a road bike'],
    [33, 0.18, 0.51, 423],
    true,
  ),
  video(['From the Shed 14: the best bikes', 'how to choose a bike'], [916, 0.26, 0.5, 309]),
  video(
    ['Disc brake bleed at home for the price of a coffee', 'how to bleed a disc brake'],
    [488, 0.44, 0.6, 257],
    true,
  ),
  video(['How To Clean A Cassette on a cargo bike', 'how to clean cargo bike cassette'], [309, 0.18, 0.12, 121]),
  video(['Bike wheel buying guide', 'best touring bike wheels'], [899, 0.49, 0.54, 216]),
  video(['How to fix a skipping bike chain', 'why does my bike chain skip'], [773, 0.48, 0.56, 163]),
  video(['Indexing a rear mech at home', 'how to index a rear mech at home'], [369, 0.3, 0.52, 405], true),
  video(['How to find good bike shop near you', 'best bike shop near me'], [1001, 0.41, 0.46, 316], true),
  video(['How to fix a spongy disc brake', 'why does my disc brake feel spongy'], [556, 0.43, 0.35, 561], true),
  video(['Why your bike tyre is flat', 'flat bike tyre'], [642, 0.58, 0.6, 175], true),
  video(['How to clean a rear derailleur at home', 'clean rear derailer at home'], [300, 0.3, 0.51, 717]),
  video(['Can you fix a bike chain without a shop?', 'how to fix a bike chain for beginners'], [192, 0.39, 0.52, 351]),
  video(
    ['Rear derailleur removal on a kids bike', 'how to remove kids bike rear derailleur at home'],
    [446, 0.42, 0.34, 721],
  ),
  video(['6 kinds of bike wheels and what they are for', 'bike wheel'], [1233, 0.42, 0.27, 450], true),
  video(['Disc brake cleaning (no special tools)', 'how do i clean my disc break'], [902, 0.27, 0.34, 479], true),
  video(['Rear derailleur adjustment', 'how do i adjust my rear deraileur'], [649, 0.34, 0.55, 217], true),
  video(['Why your bike is making noise', 'how to fix a noisy bike'], [37, 0.18, 0.47, 985]),
  video(
    ['how to clean touring bike gears with a toothbrush', 'how to clean touring bike gears with a toothbrush'],
    [278, 0.22, 0.5, 291],
  ),
  video(
    [
      'Why your bottom bracket is making noise going uphill on a road bike',
      'road bike bottom bracket making noise going uphill',
    ],
    [360, 0.12, 0.44, 1029],
    true,
  ),
  video(['How I remove a bike chain', 'how to remove an 8 speed bike chain'], [700, 0.36, 0.4, 433]),
  video(['How to bleed a disc brake [real time]', 'hydraulic disc brake'], [101, 0.12, 0.36, 307]),
  video(
    ['Cassette rusty on a road bike: how to find the cause', 'road bike cassette rusty'],
    [481, 0.48, 0.17, 243],
    true,
  ),
  video(['how to clean a disc brake', 'how to clean a disc brake'], [695, 0.49, 0.64, 329]),
  video(['Cleaning a disc brake', 'corvane disc brake cleaning'], [867, 0.24, 0.48, 322], true),
  video(['How To Adjust Bike Gears on a cargo bike', 'cargo bike gears'], [872, 0.19, 0.28, 335]),
  video(['STOP BLEEDING your disc brake like this!', 'how to bleed disc brake'], [1471, 0.26, 0.51, 368]),
  video(['How To Remove A Bike Chain', '11 speed bike chain removal'], [662, 0.58, 0.53, 427]),
  video(
    ['Lacing a bike wheel on a touring bike', 'how to lace a bike wheel on a touring bike'],
    [777, 0.52, 0.59, 146],
    true,
  ),
  video(['How to fix a noisy bike', 'noisy bike'], [1165, 0.33, 0.35, 248], true),
  video(['How to find good bike hire near you', 'bike hire near me'], [951, 0.24, 0.45, 260], true),
  video(['How much should a disc brake cost?', 'best disc brakes 2025'], [886, 0.4, 0.45, 278]),
  video(['Bike lights review after a year', 'best bike lights 2026'], [1271, 0.05, 0.81, 211]),
  video(
    ['Why your bike chain is rusty after winter on a touring bike', 'touring bike chain rusty after winter'],
    [159, 0.35, 0.61, 311],
  ),
  video(
    ['How I replace a bike wheel on a touring bike', 'how to replace a bike wheel on a touring bike'],
    [458, 0.13, 0.55, 295],
  ),
  video(['How to clean a rear derailleur 👍', 'how to clean rear derailer'], [1227, 0.33, 0.22, 210]),
  video(['How To Charge An Electric Bike', 'halden electric bike'], [698, 0.63, 0.53, 314]),
  video(['3 mistakes when aligning a rear mech', 'rear mech'], [513, 0.23, 0.58, 214]),
  video(['Disc brake cleaning', 'how to clean a disc brake with a toothbrush'], [1083, 0.41, 0.36, 832]),
  video(['4 things to look at before you buy a mountain bike', 'mountain bike'], [955, 0.32, 0.47, 218], true),
  video(
    [
      'Why your rear derailleur is clicking when pedaling on a road bike',
      'road bike rear derailleur clicking when pedaling',
    ],
    [421, 0.25, 0.61, 1230],
    true,
  ),
  video(['How I clean a bike properly', 'how to clean a bike properly'], [824, 0.32, 0.22, 604], true),
  video(['Best rear mechs [cheap to dear]', 'best rear mechs for beginners'], [1497, 0.33, 0.58, 1051], true),
  video(['Why your bike wheel is rubbing', 'why does my bike wheel rub'], [1016, 0.34, 0.35, 345], true),
  video(
    ['why is my electric bike battery not charging', 'why is my electric bike battery not charging'],
    [961, 0.51, 0.54, 552],
  ),
  video(['How I replace a rear mech properly', 'how to replace a rear mech properly'], [180, 0.31, 0.79, 128]),
  video(
    ['cleaning a chain without degreaser how to clean a chain step by step', 'cleaning a chain without degreaser'],
    [121, 0.25, 0.59, 463],
  ),
  video(
    [
      'How to remove a rear mech on a touring bike, how to install a 12 speed rear mech',
      'how to remove a rear mech on a touring bike',
    ],
    [1400, 0.58, 0.38, 748],
    true,
  ),
  video(['How I align a rear mech', 'how to align rear mech'], [55, 0.4, 0.5, 725]),
  video(['Everything about disc brakes, slowly', 'corvane disc brake'], [920, 0.33, 0.22, 702]),
  video(['Cleaning a cassette on an electric bike', 'electric bike casette cleaning'], [311, 0.46, 0.57, 191]),
  video(['How to replace a bike wheel yourself', 'replace bike wheel yourself'], [543, 0.16, 0.25, 269]),
]
