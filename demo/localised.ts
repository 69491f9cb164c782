import type { Localised } from '../core/brief/items/localised'

/** Texts of the workshop's briefs in other languages, by the topic of the brief. */
export const LOCALISED: { of: string; text: Localised }[] = [
  {
    of: 'Winter care for a bike chain',
    text: {
      language: 'de',
      region: 'DE',
      title: 'Fahrradkette reinigen: leise durch den ganzen Winter',
      description:
        'Fahrradkette reinigen in zehn Minuten, zu Hause und ohne Ständer. Du siehst, welche Bürste an die Rollen kommt, wann du die Fahrradkette ölen solltest und warum weniger mehr ist.\n\nIn der Werkstatt in Marrowby machen wir vierzig Ketten in der Woche sauber, sobald Salz auf den Straßen liegt. In dieser Reihenfolge bleiben sie leise: bürsten, wischen, trocknen, ein Tropfen je Glied, noch einmal wischen.\n\n0:00 Was Salz mit einer Kette macht\n1:10 Fahrradkette reinigen\n4:30 Fahrradkette ölen, ein Tropfen je Glied\n7:05 Wachs statt Öl\n9:20 Tipps für den Heimweg\n\nWas nimmst du im Winter, Öl oder Wachs? Schreib es in die Kommentare.',
      tags: ['fahrradkette reinigen', 'fahrradkette', 'fahrradkette ölen', 'kette reinigen fahrrad', 'fahrrad winter'],
      phrases: [
        { text: 'fahrradkette reinigen', from: 'how to clean bike chain', counts: true },
        { text: 'fahrradkette ölen', from: 'lubricate bike chain', counts: true },
        { text: 'fahrradkette wachsen', from: 'how to wax bike chain', counts: false },
        { text: 'fahrradkette reinigen mit hausmitteln', from: 'clean bike chain at home', counts: true },
      ],
    },
  },
]
