// routes that show nothing themselves come with the application: a part of a job is opened without asking the server for them
import './app/job/[id]/[part]';
import './app/job/[id]/index';
import 'expo-router/entry';
