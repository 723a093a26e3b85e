// Stands for optional parts of libraries that are not shipped.
export default null;
