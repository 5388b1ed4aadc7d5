/**
 * The drawing library, and of it only what the wall draws with: fetched with the sheet, not with the application. Its
 * components draw a shape by name and know only those that were brought here.
 */
import 'konva/lib/shapes/Line'
import 'konva/lib/shapes/Rect'
import 'konva/lib/shapes/Text'

export { Group, Layer, Line, Rect, Stage, Text } from 'vue-konva/core'
