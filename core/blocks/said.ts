/** What the parts of a page say that have no words of the deck, by the language of the page. */
export type Said = {
  slideshow: string
  slide: string
  of: (index: number, count: number) => string
  previous: string
  next: string
  /** Of what moves by itself. */
  pause: string
}

const said = (slideshow: string, slide: string, of: string, previous: string, next: string, pause: string): Said => ({
  slideshow,
  slide,
  of: (index, count) => `${index} ${of} ${count}`,
  previous,
  next,
  pause,
})

const SAID: Record<string, Said> = {
  en: said('slideshow', 'slide', 'of', 'Previous', 'Next', 'Pause'),
  da: said('diasshow', 'dias', 'af', 'Forrige', 'Næste', 'Pause'),
  de: said('Bilderfolge', 'Bild', 'von', 'Zurück', 'Weiter', 'Anhalten'),
  es: said('carrusel', 'imagen', 'de', 'Anterior', 'Siguiente', 'Pausar'),
  fr: said('diaporama', 'vue', 'sur', 'Précédent', 'Suivant', 'Pause'),
  it: said('galleria', 'immagine', 'di', 'Precedente', 'Successiva', 'Pausa'),
  nb: said('lysbildeserie', 'bilde', 'av', 'Forrige', 'Neste', 'Pause'),
  nl: said('diavoorstelling', 'dia', 'van', 'Vorige', 'Volgende', 'Pauze'),
  pl: said('pokaz slajdów', 'slajd', 'z', 'Poprzedni', 'Następny', 'Wstrzymaj'),
  pt: said('carrossel', 'imagem', 'de', 'Anterior', 'Seguinte', 'Pausar'),
  sv: said('bildspel', 'bild', 'av', 'Föregående', 'Nästa', 'Pausa'),
}

/** In a language, or in English where we do not know it. */
export const saidIn = (language: string): Said => SAID[language.split('-')[0]!] ?? SAID.en!
