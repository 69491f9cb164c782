/*
 * Styles of those of Vuetify's components that screens load later. A style sheet with layers that comes later has the
 * browser work out every style of the page and lay all of it out anew. They stand behind the styles of the first
 * screen's components, as they would if they came later.
 */
import 'vuetify/lib/components/VCalendar/VCalendarCategory.css'
import 'vuetify/lib/components/VCalendar/VCalendarDaily.css'
import 'vuetify/lib/components/VCalendar/VCalendarWeekly.css'
import 'vuetify/lib/components/VCalendar/composables/calendarWithEvents.css'
import 'vuetify/lib/components/VCard/VCard.css'
import 'vuetify/lib/components/VCombobox/VCombobox.css'
import 'vuetify/lib/components/VDataTable/VDataTable.css'
import 'vuetify/lib/components/VDataTable/VDataTableFooter.css'
import 'vuetify/lib/components/VDialog/VDialog.css'
import 'vuetify/lib/components/VFileInput/VFileInput.css'
import 'vuetify/lib/components/VIconBtn/VIconBtn.css'
import 'vuetify/lib/components/VNavigationDrawer/VNavigationDrawer.css'
import 'vuetify/lib/components/VPagination/VPagination.css'
import 'vuetify/lib/components/VSelectionControl/VSelectionControl.css'
import 'vuetify/lib/components/VSwitch/VSwitch.css'
import 'vuetify/lib/components/VTable/VTable.css'
import 'vuetify/lib/components/VTextarea/VTextarea.css'
