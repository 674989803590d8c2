import { Modal } from '@mantine/core';

export default Modal;
