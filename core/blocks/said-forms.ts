/** What a form says beside its fields, by the language of the page. */
export type SaidOfForms = {
  /** Of a field that was left empty, a choice that was not made, and a box that was not ticked. */
  wanted: string
  choose: string
  tick: string
  /** Of what is no mail address, and of anything else that a field cannot take. */
  mail: string
  other: string
  /** While it is on its way. */
  sending: string
}

const said = (wanted: string, choose: string, tick: string, mail: string, other: string, sending: string): SaidOfForms => ({
  wanted,
  choose,
  tick,
  mail,
  other,
  sending,
})

const SAID: Record<string, SaidOfForms> = {
  en: said(
    'Please fill this in.',
    'Please choose one.',
    'Please tick this to go on.',
    'This is no mail address: it wants an @ and a place after it.',
    'This cannot be taken as it is.',
    'Sending …',
  ),
  da: said(
    'Udfyld dette.',
    'Vælg en.',
    'Sæt kryds for at fortsætte.',
    'Det er ikke en mailadresse: den skal have et @ og et sted efter.',
    'Det kan ikke bruges, som det er.',
    'Sender …',
  ),
  de: said(
    'Bitte ausfüllen.',
    'Bitte eines wählen.',
    'Bitte ankreuzen, um fortzufahren.',
    'Das ist keine Mailadresse: Es fehlt ein @ und ein Ort danach.',
    'So kann es nicht angenommen werden.',
    'Wird gesendet …',
  ),
  es: said(
    'Rellene este campo.',
    'Elija una opción.',
    'Marque la casilla para seguir.',
    'No es una dirección de correo: falta una @ y lo que sigue.',
    'Así no se puede aceptar.',
    'Enviando …',
  ),
  fr: said(
    'Veuillez remplir ce champ.',
    'Veuillez en choisir un.',
    'Veuillez cocher cette case pour continuer.',
    'Ce n’est pas une adresse : il faut une @ et un domaine.',
    'Cela ne peut pas être accepté tel quel.',
    'Envoi …',
  ),
  it: said(
    'Compili questo campo.',
    'Scelga una voce.',
    'Spunti la casella per proseguire.',
    'Non è un indirizzo: serve una @ e ciò che segue.',
    'Così non può essere accettato.',
    'Invio …',
  ),
  nb: said(
    'Fyll ut dette.',
    'Velg en.',
    'Kryss av for å gå videre.',
    'Dette er ingen e-postadresse: den må ha en @ og et sted etter.',
    'Dette kan ikke brukes som det er.',
    'Sender …',
  ),
  nl: said(
    'Vul dit in.',
    'Kies er een.',
    'Vink dit aan om verder te gaan.',
    'Dit is geen mailadres: er hoort een @ in en iets daarna.',
    'Zo kan het niet worden aangenomen.',
    'Wordt verzonden …',
  ),
  pl: said(
    'Proszę to wypełnić.',
    'Proszę wybrać.',
    'Proszę zaznaczyć, aby przejść dalej.',
    'To nie jest adres e-mail: brakuje @ i tego, co po nim.',
    'Tego nie można przyjąć.',
    'Wysyłanie …',
  ),
  pt: said(
    'Preencha este campo.',
    'Escolha uma opção.',
    'Assinale para continuar.',
    'Não é um endereço: falta um @ e o que se segue.',
    'Assim não pode ser aceite.',
    'A enviar …',
  ),
  sv: said(
    'Fyll i detta.',
    'Välj ett.',
    'Kryssa i för att gå vidare.',
    'Det är ingen mejladress: den ska ha ett @ och något efter.',
    'Det kan inte tas emot så.',
    'Skickas …',
  ),
}

/** In a language, or in English where we do not know it. */
export const saidOfForms = (language: string): SaidOfForms => SAID[language.split('-')[0]!] ?? SAID.en!
