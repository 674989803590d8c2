/**
 * How the parts of the library look that Roan has, in the order in which the library has them: all of them would be three times as much,
 * and no page is drawn before it has its styles. `mantineStyles.test.ts` says which are missing, and which are for nothing.
 */
import '@mantine/core/styles/baseline.css';
import '@mantine/core/styles/default-css-variables.css';
import '@mantine/core/styles/global.css';
import '@mantine/core/styles/ScrollArea.css';
import '@mantine/core/styles/UnstyledButton.css';
import '@mantine/core/styles/VisuallyHidden.css';
import '@mantine/core/styles/Paper.css';
import '@mantine/core/styles/Overlay.css';
import '@mantine/core/styles/Popover.css';
import '@mantine/core/styles/Loader.css';
import '@mantine/core/styles/ActionIcon.css';
import '@mantine/core/styles/CloseButton.css';
import '@mantine/core/styles/Group.css';
import '@mantine/core/styles/ModalBase.css';
import '@mantine/core/styles/Input.css';
import '@mantine/core/styles/Alert.css';
import '@mantine/core/styles/Text.css';
import '@mantine/core/styles/Combobox.css';
import '@mantine/core/styles/InlineInput.css';
import '@mantine/core/styles/CheckboxCard.css';
import '@mantine/core/styles/CheckboxIndicator.css';
import '@mantine/core/styles/Checkbox.css';
import '@mantine/core/styles/Button.css';
import '@mantine/core/styles/Chip.css';
import '@mantine/core/styles/Drawer.css';
import '@mantine/core/styles/Menu.css';
import '@mantine/core/styles/Modal.css';
import '@mantine/core/styles/Pill.css';
import '@mantine/core/styles/PillsInput.css';
import '@mantine/core/styles/Notification.css';
import '@mantine/core/styles/NumberInput.css';
import '@mantine/core/styles/PasswordInput.css';
import '@mantine/core/styles/Progress.css';
import '@mantine/core/styles/SimpleGrid.css';
import '@mantine/core/styles/Stack.css';
import '@mantine/core/styles/Switch.css';
import '@mantine/core/styles/Title.css';
import '@mantine/notifications/styles.css';
