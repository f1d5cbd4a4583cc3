/** What the parts of a page say that have no words of the deck, by the language of the page. */
export type Said = {
  slideshow: string
  slide: string
  of: (index: number, count: number) => string
  previous: string
  next: string
  /** Of what moves by itself. */
  pause: string
  /** Of what is folded away, and of what lies over the page. */
  menu: string
  close: string
}

const said = (
  slideshow: string,
  slide: string,
  of: string,
  previous: string,
  next: string,
  pause: string,
  menu: string,
  close: string,
): Said => ({
  slideshow,
  slide,
  of: (index, count) => `${index} ${of} ${count}`,
  previous,
  next,
  pause,
  menu,
  close,
})

const SAID: Record<string, Said> = {
  en: said('slideshow', 'slide', 'of', 'Previous', 'Next', 'Pause', 'Menu', 'Close'),
  da: said('diasshow', 'dias', 'af', 'Forrige', 'Næste', 'Pause', 'Menu', 'Luk'),
  de: said('Bilderfolge', 'Bild', 'von', 'Zurück', 'Weiter', 'Anhalten', 'Menü', 'Schließen'),
  es: said('carrusel', 'imagen', 'de', 'Anterior', 'Siguiente', 'Pausar', 'Menú', 'Cerrar'),
  fr: said('diaporama', 'vue', 'sur', 'Précédent', 'Suivant', 'Pause', 'Menu', 'Fermer'),
  it: said('galleria', 'immagine', 'di', 'Precedente', 'Successiva', 'Pausa', 'Menu', 'Chiudi'),
  nb: said('lysbildeserie', 'bilde', 'av', 'Forrige', 'Neste', 'Pause', 'Meny', 'Lukk'),
  nl: said('diavoorstelling', 'dia', 'van', 'Vorige', 'Volgende', 'Pauze', 'Menu', 'Sluiten'),
  pl: said('pokaz slajdów', 'slajd', 'z', 'Poprzedni', 'Następny', 'Wstrzymaj', 'Menu', 'Zamknij'),
  pt: said('carrossel', 'imagem', 'de', 'Anterior', 'Seguinte', 'Pausar', 'Menu', 'Fechar'),
  sv: said('bildspel', 'bild', 'av', 'Föregående', 'Nästa', 'Pausa', 'Meny', 'Stäng'),
}

/** In a language, or in English where we do not know it. */
export const saidIn = (language: string): Said => SAID[language.split('-')[0]!] ?? SAID.en!
