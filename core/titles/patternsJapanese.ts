import type { Pattern } from './pattern'

const DOING = ['way', 'task'] as const
const ASKING = ['question', 'reason'] as const
const NAMED = ['choice', 'versus', 'place', 'thing'] as const
const STATED = [...DOING, ...NAMED, 'fault', 'cost'] as const

/** What Japanese titles add to a phrase: what it adds stands behind a colon or in corner brackets. */
export const JAPANESE: readonly Pattern[] = [
  { kind: 'number', forms: DOING, tails: ['：失敗しない{n}つのコツ', '：{n}つの手順'] },
  { kind: 'question', forms: DOING, tails: ['：何が必要？', '：どこから始める？'] },
  { kind: 'outcome', forms: DOING, tails: ['を順番に解説', '：最初から最後まで'] },
  { kind: 'contrast', forms: DOING, tails: ['：良い例と悪い例'] },
  { kind: 'time', forms: DOING, tails: ['：{minutes}分でわかる'] },
  { kind: 'audience', forms: STATED, tails: ['【初心者向け】'] },
  { kind: 'mistake', forms: DOING, tails: ['：よくある間違い', '：やってはいけないこと'] },
  { kind: 'number', forms: ['fault'], tails: ['：{n}つの原因と対処法', '：最初に確認する{n}か所'] },
  { kind: 'question', forms: ['fault'], tails: ['：原因はどこ？'] },
  { kind: 'outcome', forms: ['fault'], tails: ['：原因を見つけて直す'] },
  { kind: 'time', forms: ['fault'], tails: ['：{minutes}分で原因を見つける'] },
  { kind: 'mistake', forms: ['fault'], tails: ['：見落としやすい原因'] },
  { kind: 'number', forms: ASKING, tails: ['？知っておきたい{n}つのこと'] },
  { kind: 'outcome', forms: ASKING, tails: ['？わかりやすく解説'] },
  { kind: 'time', forms: ASKING, tails: ['？{minutes}分で解説'] },
  { kind: 'mistake', forms: ASKING, tails: ['？よくある誤解'] },
  { kind: 'number', forms: ['cost'], tails: ['：料金が変わる{n}つの理由'] },
  { kind: 'question', forms: ['cost'], tails: ['：適正な値段は？'] },
  { kind: 'contrast', forms: ['cost'], tails: ['：含まれるものと含まれないもの'] },
  { kind: 'number', forms: NAMED, tails: ['：知っておきたい{n}つのこと'] },
  { kind: 'question', forms: NAMED, tails: ['：本当に大切なことは？'] },
  { kind: 'outcome', forms: NAMED, tails: ['をわかりやすく解説', '：基本のすべて'] },
  { kind: 'time', forms: NAMED, tails: ['：{minutes}分でわかる'] },
  { kind: 'mistake', forms: NAMED, tails: ['：よくある間違い'] },
  { kind: 'year', forms: STATED, tails: ['【{year}年】'] },
  { kind: 'year', forms: ASKING, tails: ['？【{year}年】'] },
  { kind: 'series', forms: STATED, tails: ['（第{part}回）'] },
  { kind: 'series', forms: ASKING, tails: ['？（第{part}回）'] },
  { kind: 'brand', forms: STATED, tails: ['｜{brand}'] },
  { kind: 'brand', forms: ASKING, tails: ['？｜{brand}'] },
]
