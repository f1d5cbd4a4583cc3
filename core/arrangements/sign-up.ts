import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { type Arrangement, band, call, column, eyebrow, field, form, heading, lead, picture, text } from './build'

/** Sign-up: the form that does the wanted action. */
export const signUps: Arrangement[] = [
  {
    id: 'sign-up-band',
    job: 'sign-up',
    name: 'In a band',
    note: 'A quiet band with words at the left and the form at the right.',
    entries: null,
    build: () =>
      band(
        'sign-up',
        {
          fill: role('panel'),
          paddingTop: token('space-8'),
          paddingBottom: token('space-8'),
          align: 'center',
          rowGap: token('space-5'),
        },
        [
          column({ span: 6, middle: { span: 8 } }, [eyebrow(), heading(2, { spaceAfter: token('space-3') }), text()]),
          form({ span: 5, start: 8, middle: { span: 8 } }, [
            field(),
            call({ selfJustify: 'stretch' }),
            text({}, { type: 'small' }),
          ]),
        ],
      ),
  },
  {
    id: 'sign-up-single',
    job: 'sign-up',
    name: 'Single action',
    note: 'The whole page in one column: claim, form, done.',
    entries: null,
    build: () =>
      band('sign-up', { minHeight: { value: 70, unit: 'vh' }, align: 'center' }, [
        column({ span: 6, start: 4, middle: { span: 6, start: 2 }, narrow: { span: 4 } }, [
          eyebrow(),
          heading(1),
          lead(),
          form({}, [field(), call({ selfJustify: 'stretch' }), text({}, { type: 'small' })]),
        ]),
      ]),
  },
  {
    id: 'sign-up-picture',
    job: 'sign-up',
    name: 'Beside a picture',
    note: 'What is given in return stands beside the form.',
    entries: null,
    build: () =>
      band('sign-up', { align: 'center', rowGap: token('space-6') }, [
        picture(4, 5, { span: 5, middle: { span: 8, aspect: { width: 16, height: 9 } } }),
        column({ span: 6, start: 7, middle: { span: 8 } }, [
          eyebrow(),
          heading(2),
          text(),
          form({}, [field(), call({ selfJustify: 'stretch' }), text({}, { type: 'small' })]),
        ]),
      ]),
  },
]
