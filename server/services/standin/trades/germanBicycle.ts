/** Bicycles in German: a trade with phrases, videos and channels of its own, so that language is no dead end. */

export interface GermanPart {
  name: string
  gender: 'der' | 'die' | 'das' | 'plural'
  /** Accusative, as in “wie wechselt man einen Schlauch”. */
  accusative: string
  weight: number
  tasks: string[]
  /** “quietscht”, as in “Fahrradkette quietscht”. */
  fault?: string[]
  buy?: boolean
}

/** Verbs in the infinitive, with the third person of “wie … man”, a noun, and steps. */
/** What is done again and again: people ask how often, and when. */
export const CARE = new Set(['wechseln', 'einstellen', 'reinigen', 'ölen', 'entlüften', 'laden'])

export const TASKS: Record<string, { third: string; noun: string; weight: number; steps: string[] }> = {
  wechseln: {
    third: 'wechselt',
    noun: 'Wechsel',
    weight: 1,
    steps: [
      'Vergleiche das alte Teil mit dem neuen, bevor du etwas löst.',
      'Lege die Kleinteile in der Reihenfolge ab, in der sie abgehen.',
      'Setze das neue Teil zuerst von Hand an.',
      'Zieh mit dem Drehmoment an, das daneben steht.',
    ],
  },
  einstellen: {
    third: 'stellt',
    noun: 'Einstellung',
    weight: 1,
    steps: [
      'Schalte auf das kleinste Ritzel und löse den Zug.',
      'Eine Viertelumdrehung, dann probieren.',
      'Sieh von hinten darauf und schließe ein Auge.',
      'Fahr eine Runde und stell zum Schluss fein nach.',
    ],
  },
  reinigen: {
    third: 'reinigt',
    noun: 'Reinigung',
    weight: 0.9,
    steps: [
      'Trockenen Schmutz zuerst abbürsten.',
      'Warmes Wasser und ein Tropfen Spülmittel reichen.',
      'Wische, bis der Lappen sauber bleibt.',
      'Danach sparsam ölen und den Rest abnehmen.',
    ],
  },
  reparieren: {
    third: 'repariert',
    noun: 'Reparatur',
    weight: 0.9,
    steps: [
      'Finde zuerst heraus, woher das Geräusch kommt.',
      'Probiere das Einfachste zuerst.',
      'Kommt es wieder, sieh nach, woran das Teil geschraubt ist.',
    ],
  },
  ölen: {
    third: 'ölt',
    noun: 'Ölen',
    weight: 0.5,
    steps: ['Ein Tropfen je Glied genügt.', 'Lass es eine Stunde einziehen und wische außen trocken.'],
  },
  entlüften: {
    third: 'entlüftet',
    noun: 'Entlüftung',
    weight: 0.5,
    steps: [
      'Beläge heraus und weit weg von der Flüssigkeit.',
      'Drück von unten, bis keine Blase mehr kommt.',
      'Zieh zehnmal am Hebel und warte.',
    ],
  },
  flicken: {
    third: 'flickt',
    noun: 'Flicken',
    weight: 0.7,
    steps: ['Such das Loch mit Wasser.', 'Rau mehr an, als der Flicken bedeckt.', 'Fühl den Mantel innen ab.'],
  },
  montieren: {
    third: 'montiert',
    noun: 'Montage',
    weight: 0.6,
    steps: ['Gewinde fetten und von Hand beginnen.', 'Nach zehn Minuten Fahrt alles noch einmal nachziehen.'],
  },
  zentrieren: {
    third: 'zentriert',
    noun: 'Zentrieren',
    weight: 0.4,
    steps: ['Zupf an den Speichen: die dumpfen sind locker.', 'Lieber drei Viertelumdrehungen als eine ganze.'],
  },
  laden: {
    third: 'lädt',
    noun: 'Laden',
    weight: 0.5,
    steps: ['Erst warm werden lassen, dann laden.', 'Achtzig Prozent reichen für den Alltag.'],
  },
}

/** What is put behind a verb: “selber”, “ohne Werkzeug”. */
export const ENDINGS: [string, number][] = [
  ['', 1],
  ['anleitung', 0.3],
  ['selber machen', 0.12],
  ['ohne werkzeug', 0.1],
  ['kosten', 0.22],
  ['für anfänger', 0.08],
  ['schritt für schritt', 0.06],
  ['beim mountainbike', 0.1],
  ['beim rennrad', 0.09],
  ['beim e-bike', 0.14],
  ['mit hausmitteln', 0.06],
  ['werkzeug', 0.06],
  ['dauer', 0.03],
  ['tipps', 0.04],
  ['video', 0.03],
]

const part = (
  name: string,
  gender: GermanPart['gender'],
  weight: number,
  tasks: string,
  fault = '',
  buy = true,
): GermanPart => ({
  name,
  gender,
  accusative: `${{ der: 'einen ', die: 'eine ', das: 'ein ', plural: '' }[gender]}${name}`,
  weight,
  tasks: tasks.split(' ').filter(Boolean),
  fault: fault.split(', ').filter(Boolean),
  buy,
})

export const PARTS: GermanPart[] = [
  part('fahrrad', 'das', 80, 'reinigen reparieren', 'quietscht, knackt beim treten'),
  part('e-bike', 'das', 70, 'reinigen laden', 'lädt nicht, schaltet sich aus'),
  part('fahrradkette', 'die', 30, 'wechseln reinigen ölen reparieren', 'springt, quietscht, rostet, rutscht durch'),
  part('gangschaltung', 'die', 22, 'einstellen reinigen reparieren', 'springt, schaltet nicht richtig', false),
  part('schaltwerk', 'das', 12, 'einstellen wechseln montieren reinigen', 'schaltet nicht, schleift, verbogen'),
  part('umwerfer', 'der', 6, 'einstellen wechseln', 'schleift, klemmt'),
  part('schaltauge', 'das', 4, 'wechseln', 'verbogen'),
  part('fahrradbremse', 'die', 18, 'einstellen reinigen wechseln', 'quietscht, schleift, zieht nicht'),
  part('scheibenbremse', 'die', 14, 'einstellen entlüften reinigen wechseln', 'quietscht, schleift, verliert öl'),
  part('bremsbeläge', 'plural', 12, 'wechseln reinigen', 'quietschen'),
  part('fahrradschlauch', 'der', 15, 'wechseln flicken', 'verliert luft'),
  part('fahrradreifen', 'der', 20, 'wechseln flicken montieren', 'verliert luft, porös'),
  part('laufrad', 'das', 8, 'zentrieren wechseln', 'eiert, schleift'),
  part('innenlager', 'das', 6, 'wechseln montieren', 'knackt, hat spiel'),
  part('steuersatz', 'der', 5, 'einstellen wechseln', 'knackt, hat spiel'),
  part('fahrradsattel', 'der', 14, 'einstellen wechseln', 'quietscht, drückt'),
  part('pedale', 'plural', 12, 'wechseln montieren', 'knacken, gehen nicht ab'),
  part('e-bike akku', 'der', 22, 'laden reparieren wechseln', 'lädt nicht, leer nach dem winter'),
  part('federgabel', 'die', 7, 'einstellen reinigen', 'verliert öl, knackt'),
  part('schutzblech', 'das', 6, 'montieren', 'klappert, schleift'),
  part('fahrradlicht', 'das', 11, 'montieren reparieren laden', 'flackert, geht nicht'),
  part('nabe', 'die', 4, 'einstellen reinigen', 'knackt, hat spiel', false),
]

/** Towns in the German-speaking part of the made-up world. */
export const TOWNS = ['Lindhafen', 'Grauenbeck', 'Altmoorstedt', 'Wesselried', 'Kirchauen']

export const CHANNEL_NOUNS = [
  'Radwerkstatt',
  'Speichenzeit',
  'Kettenfett',
  'Schrauberhof',
  'Velo-Tagebuch',
  'Radkeller',
]
