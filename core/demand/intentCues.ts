import type { Intent } from './intentNames'

/** Words and word groups that tell what a searcher wants; each is worth its weight. */
export type Cues = readonly (readonly [intent: Intent, weight: number, list: string])[]

const ENGLISH: Cues = [
  [
    'do',
    2,
    'how to,how do,diy,yourself,at home,step by step,without tools,fix,replace,adjust,clean,install,remove,repair it,make,build,true,bleed,index,patch,wax,lubricate,tighten,sharpen,tune,polish',
  ],
  [
    'learn',
    2,
    'what is,what are,why,explained,guide,tutorial,for beginners,tips,mistakes,lesson,lessons,course,meaning,basics,when to,introduction',
  ],
  ['buy', 2, 'buy,price,cheap,sale,deal,deals,discount,for sale,order,cost of,budget,under'],
  ['buy', 1, 'best,choose,cost,worth it'],
  ['compare', 3, 'vs,versus,or,compare,comparison,difference,differences,review,reviews,alternative,better than'],
  [
    'hire',
    3,
    'service,services,repair service,hire,company,professional,quote,book,mobile,repair shop,shop,workshop,mechanic',
  ],
  ['hire', 1, 'repair'],
  ['near', 4, 'near me,nearby,near,local,closest,open now'],
]

const GERMAN: Cues = [
  [
    'do',
    2,
    'wie man,wie wechselt,wie repariert,wie reinigt,selber,selber machen,selbst,schritt für schritt,ohne werkzeug,reparieren,wechseln,tauschen,einstellen,reinigen,putzen,entlüften,montieren,zentrieren,flicken,ölen,bauen,diy',
  ],
  [
    'learn',
    2,
    'was ist,was sind,warum,wann,erklärt,anleitung,für anfänger,tipps,fehler,kurs,bedeutung,grundlagen,tutorial',
  ],
  ['buy', 2, 'kaufen,preis,preise,günstig,billig,angebot,angebote,rabatt,gebraucht,bestellen'],
  ['buy', 1, 'beste,bester,bestes,kosten,welcher,welche,welches'],
  ['compare', 3, 'vergleich,vergleichen,unterschied,unterschiede,test,testbericht,erfahrungen,oder,vs,alternative'],
  [
    'hire',
    3,
    'werkstatt,fahrradwerkstatt,reparaturdienst,service,mieten,verleih,firma,betrieb,handwerker,mobiler,mobile',
  ],
  ['hire', 1, 'reparatur,inspektion'],
  ['near', 4, 'in der nähe,in meiner nähe,nähe,geöffnet'],
]

const SPANISH: Cues = [
  [
    'do',
    2,
    'cómo,paso a paso,en casa,sin herramientas,hazlo tú mismo,arreglar,reparar,cambiar,ajustar,limpiar,montar,quitar,hacer,purgar,engrasar,centrar,parchear',
  ],
  [
    'learn',
    2,
    'qué es,qué son,por qué,explicado,guía,tutorial,para principiantes,consejos,errores,curso,significado,cuándo',
  ],
  ['buy', 2, 'comprar,precio,precios,barato,barata,baratos,oferta,ofertas,descuento,segunda mano,en venta'],
  ['buy', 1, 'mejor,mejores,elegir,cuánto cuesta'],
  ['compare', 3, 'vs,o,comparar,comparativa,comparación,diferencia,diferencias,opiniones,análisis,reseña,alternativa'],
  ['hire', 3, 'taller,servicio,empresa,profesional,presupuesto,alquiler,alquilar,a domicilio,mecánico'],
  ['hire', 1, 'reparación'],
  ['near', 4, 'cerca de mí,cerca,cercano,abierto ahora'],
]

const PORTUGUESE: Cues = [
  [
    'do',
    2,
    'como,passo a passo,em casa,sem ferramentas,faça você mesmo,consertar,arrumar,trocar,ajustar,limpar,montar,remover,fazer,regular,lubrificar,centrar',
  ],
  [
    'learn',
    2,
    'o que é,o que são,por que,explicado,guia,tutorial,para iniciantes,dicas,erros,curso,significado,quando',
  ],
  ['buy', 2, 'comprar,preço,preços,barato,barata,oferta,promoção,desconto,usado,à venda'],
  ['buy', 1, 'melhor,melhores,escolher,quanto custa'],
  ['compare', 3, 'vs,ou,comparar,comparativo,comparação,diferença,diferenças,avaliação,análise,alternativa'],
  ['hire', 3, 'oficina,serviço,empresa,profissional,orçamento,aluguel,alugar,a domicílio,mecânico'],
  ['hire', 1, 'conserto,reparo'],
  ['near', 4, 'perto de mim,perto,próximo,aberto agora'],
]

const FRENCH: Cues = [
  [
    'do',
    2,
    'comment,étape par étape,à la maison,sans outil,sans outils,soi-même,réparer,changer,remplacer,régler,nettoyer,monter,démonter,faire,purger,graisser,dévoiler',
  ],
  [
    'learn',
    2,
    "qu'est-ce que,c'est quoi,pourquoi,expliqué,guide,tuto,tutoriel,pour débutants,débutant,conseils,erreurs,cours,quand",
  ],
  ['buy', 2, 'acheter,prix,pas cher,promo,soldes,réduction,occasion,à vendre'],
  ['buy', 1, 'meilleur,meilleure,meilleurs,choisir,combien coûte'],
  ['compare', 3, 'vs,ou,comparer,comparatif,comparaison,différence,différences,avis,test,alternative'],
  ['hire', 3, 'atelier,service,entreprise,professionnel,devis,location,louer,à domicile,réparateur'],
  ['hire', 1, 'réparation'],
  ['near', 4, 'près de moi,près de chez moi,à proximité,proche,ouvert maintenant'],
]

const JAPANESE: Cues = [
  ['do', 2, 'やり方,方法,手順,自分で,直し方,修理方法,交換,調整,掃除,取り付け,作り方,自宅で'],
  ['learn', 2, 'とは,なぜ,解説,初心者,入門,コツ,意味,失敗,講座,仕組み'],
  ['buy', 2, '購入,値段,価格,安い,激安,セール,中古,通販'],
  ['buy', 1, 'おすすめ,選び方,費用'],
  ['compare', 3, '比較,違い,レビュー,評判,口コミ'],
  ['hire', 3, '業者,修理店,専門店,依頼,見積もり,レンタル,出張'],
  ['near', 4, '近く,近くの,周辺,営業中'],
]

/** By the first part of a language's code. What has none here is told by its results alone where those are English. */
export const CUES: ReadonlyMap<string, Cues> = new Map([
  ['en', ENGLISH],
  ['de', GERMAN],
  ['es', SPANISH],
  ['pt', PORTUGUESE],
  ['fr', FRENCH],
  ['ja', JAPANESE],
])
