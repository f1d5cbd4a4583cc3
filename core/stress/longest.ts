import { changeSections, type Stress } from './stress'
import { mapText, withWords } from './words'

/** The longest words that are met in texts, by language, as their dictionaries have them. */
const LONGEST: Record<string, string> = {
  da: 'speciallægepraksisplanlægning',
  de: 'Rechtsschutzversicherungsgesellschaften',
  en: 'incomprehensibilities',
  es: 'electroencefalografista',
  fi: 'lentokonesuihkuturbiinimoottori',
  fr: 'anticonstitutionnellement',
  it: 'precipitevolissimevolmente',
  nl: 'arbeidsongeschiktheidsverzekering',
  nb: 'menneskerettighetsorganisasjoner',
  pl: 'konstantynopolitańczykowianeczka',
  pt: 'anticonstitucionalissimamente',
  sv: 'realisationsvinstbeskattning',
}

/** The longest word of a language; that of English where its own is not known here. */
export const longestOf = (language: string): string => LONGEST[language.split('-')[0]!] ?? LONGEST.en!

export const longest: Stress = {
  label: 'The longest word',
  note: 'of the language, in each block',
  change: changeSections((section, site) => {
    const word = longestOf(site.language)
    return withWords(section, site, (spans) => {
      let most = ''
      mapText(spans, (text) => {
        for (const [one] of text.matchAll(/\p{L}{4,}/gu)) if (one.length > most.length) most = one
        return text
      })
      if (most === '') return [...spans]
      const shown = most[0] === most[0]!.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word
      let done = false
      return mapText(spans, (text) => {
        if (done || !text.includes(most)) return text
        done = true
        return text.replace(most, shown)
      })
    })
  }),
}
